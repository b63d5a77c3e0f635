import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

export default tseslint.config(
    { ignores: ['public/**', 'vendor/**', 'core/**', 'var/**', 'resources/js/api/types.generated.ts'] },
    ...tseslint.configs.strict,
    ...vue.configs['flat/recommended'],
    {
        files: ['**/*.vue'],
        languageOptions: { parserOptions: { parser: tseslint.parser } },
    },
    {
        rules: {
            'vue/html-indent': ['error', 4],
            'vue/max-attributes-per-line': 'off',
            'vue/singleline-html-element-content-newline': 'off',
            'vue/no-v-html': 'error',
            'vue/html-self-closing': ['error', { html: { void: 'always' } }],
            'vue/require-default-prop': 'off',
            'vue/attributes-order': 'off',
            'vue/multiline-html-element-content-newline': 'off',
            // the compiler drops them, and two words become one for eye and ear
            'vue/no-restricted-syntax': ['error', ...[
                'VElement > VText[value=/^ +$/]:first-child + VExpressionContainer',
                'VElement > VExpressionContainer + VText[value=/^ +$/]:last-child',
            ].map((selector) => ({ selector, message: 'A space at the edge of an element is dropped: put it outside, or into the expression.' }))],
        },
    },
)
