import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'

export default tseslint.config(
    { ignores: ['public/**', 'vendor/**', 'core/**', 'var/**', 'resources/js/api/types.generated.ts'] },
    ...tseslint.configs.strict,
    ...vue.configs['flat/recommended'],
    // how it is set is Prettier's
    prettier,
    {
        files: ['**/*.vue'],
        languageOptions: { parserOptions: { parser: tseslint.parser } },
    },
    {
        rules: {
            'vue/no-v-html': 'error',
            'vue/require-default-prop': 'off',
            'vue/attributes-order': 'off',
            // the compiler drops them, and two words become one for eye and ear
            'vue/no-restricted-syntax': [
                'error',
                ...[
                    'VElement > VText[value=/^ +$/]:first-child + VExpressionContainer',
                    'VElement > VExpressionContainer + VText[value=/^ +$/]:last-child',
                ].map((selector) => ({ selector, message: 'A space at the edge of an element is dropped: put it outside, or into the expression.' })),
            ],
        },
    },
)
