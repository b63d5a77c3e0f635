<script setup lang="ts">
import { computed, ref } from 'vue'
import { api } from '../api/client'
import type { CsvTaken, Offers } from '../api/types.generated'
import { writtenDate } from '../ui/dates'
import { tell } from '../ui/notices'
import TogglePill from '../ui/TogglePill.vue'
import { useKitchen, wordsOf } from './useKitchen'

/** Files for other programs and other kitchens, and files from them: looked into first, and taken only as chosen. */
type Kind = Offers['items'][number]['kind']
type Table = 'weights' | 'ledger' | 'diary' | 'batches' | 'foods'

const kitchen = useKitchen()
const problem = ref<string | null>(null)
const working = ref(false)
const KINDS: Record<Kind, string> = { recipes: 'recipes', products: 'jars', foods: 'foods', words: 'words', swaps: 'swaps' }
const ONE: Record<Kind, string> = { recipes: 'recipe', products: 'jar', foods: 'food', words: 'word', swaps: 'swap' }
const TABLES: Record<Table, string> = {
    weights: 'What the dogs weighed',
    ledger: 'What they were given',
    diary: 'What was seen of them',
    batches: 'What was baked',
    foods: 'Foods of your own',
}
const given = ref<Kind[]>(['recipes', 'products', 'foods', 'words', 'swaps'])
const address = computed(() => `/api/export/shelf?kinds=${given.value.join(',')}`)

const content = ref('')
const fileName = ref('')
const offers = ref<Offers | null>(null)
const taken = ref<number[]>([])
const table = ref<Table | null>(null)
const looked = ref<CsvTaken | null>(null)
const recipes = ref<HTMLInputElement | null>(null)
const rows = ref<HTMLInputElement | null>(null)
const asked = ref<Table>('weights')

function chooseKind(kind: Kind): void {
    const others = given.value.filter((one) => one !== kind)
    given.value = given.value.includes(kind) ? (others.length === 0 ? given.value : others) : [...given.value, kind]
}

async function run(work: () => Promise<void>): Promise<void> {
    working.value = true
    problem.value = null
    try {
        await work()
    } catch (error) {
        problem.value = wordsOf(error)
    } finally {
        working.value = false
    }
}

const textOf = async (event: Event): Promise<string | null> => {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (file === undefined) return null
    fileName.value = file.name
    const bytes = await file.arrayBuffer()
    input.value = ''
    try {
        return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    } catch {
        // as older spreadsheets of western Europe write it
        return new TextDecoder('windows-1252').decode(bytes)
    }
}

async function lookIntoRecipes(event: Event): Promise<void> {
    const text = await textOf(event)
    if (text === null) return
    looked.value = null
    offers.value = null
    await run(async () => {
        const found = await api.lookIntoFile(text)
        content.value = text
        offers.value = found
        taken.value = found.items.filter((one) => one.state === 'new' && one.problem === null).map((one) => one.number)
    })
}

function choose(number: number): void {
    taken.value = taken.value.includes(number) ? taken.value.filter((one) => one !== number) : [...taken.value, number]
}

const takeChosen = (): Promise<void> =>
    run(async () => {
        const { taken: many } = await api.takeFromFile(content.value, taken.value)
        offers.value = null
        await kitchen.open()
        tell(`${many === 1 ? 'One thing was' : `${many} things were`} taken. Nothing of yours was written over.`)
    })

function chooseTable(one: Table): void {
    asked.value = one
    rows.value?.click()
}

async function lookIntoTable(event: Event): Promise<void> {
    const text = await textOf(event)
    if (text === null) return
    offers.value = null
    looked.value = null
    await run(async () => {
        const found = await api.lookIntoCsv(asked.value, text)
        content.value = text
        table.value = asked.value
        looked.value = found
    })
}

const takeTable = (): Promise<void> =>
    run(async () => {
        if (table.value === null) return
        const done = await api.takeCsv(table.value, content.value)
        if (!done.taken) {
            looked.value = done
            return
        }
        looked.value = null
        await kitchen.open()
        tell(`${done.new} new, ${done.changed} changed, ${done.same} were here already.`)
    })

const from = computed(() => {
    if (offers.value === null) return ''
    const made = offers.value.made === null ? '' : `, made ${writtenDate(offers.value.made, kitchen.kitchen?.datesAs ?? 'dmy')}`
    return `${offers.value.from === null ? 'From a file of another program' : `From the kitchen “${offers.value.from}”${made}`}: ${offers.value.items.length} ${offers.value.items.length === 1 ? 'thing' : 'things'} in it.`
})
const STATES = { new: 'new here', same: 'here already, the same', other: 'another of that name is here' }
const MOST_SHOWN = 300
</script>

<template>
    <div class="inout">
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <section class="inout__part" aria-labelledby="inout-recipes">
            <h2 id="inout-recipes">Recipes, and what belongs to them</h2>
            <p class="hint">
                One file that any program which reads schema.org recipes (JSON-LD) understands; another kitchen of Mild Bowl gets all of it.
            </p>
            <p class="inout__ways" role="group" aria-label="What goes into the file">
                <TogglePill v-for="(name, kind) in KINDS" :key="kind" :on="given.includes(kind)" @click="chooseKind(kind)">{{ name }}</TogglePill>
            </p>
            <p class="inout__ways">
                <v-btn variant="flat" color="primary" :href="address" download>Save the file</v-btn
                ><v-btn variant="outlined" :loading="working" @click="recipes?.click()">Look into a file</v-btn>
                <input
                    ref="recipes"
                    class="unseen"
                    type="file"
                    accept=".jsonld,.json,application/ld+json,application/json"
                    tabindex="-1"
                    aria-label="A file of recipes"
                    @change="lookIntoRecipes"
                />
            </p>
            <p class="hint">Dogs, and which of them eats what, stay at home. Text, Markdown and web pages are brought in on the shelf.</p>
        </section>
        <section v-if="offers !== null" class="inout__part inout__found" aria-labelledby="inout-found">
            <h2 id="inout-found">{{ fileName }}</h2>
            <p>{{ from }}</p>
            <ul class="inout__items">
                <li v-for="one in offers.items.slice(0, MOST_SHOWN)" :key="one.number" class="inout__item">
                    <label
                        ><input type="checkbox" :checked="taken.includes(one.number)" :disabled="one.problem !== null" @change="choose(one.number)" />
                        <span
                            ><strong>{{ one.name }}</strong> {{ ONE[one.kind] }}, {{ STATES[one.state] }}
                            <small v-if="one.text !== ''">{{ one.text }}</small>
                            <small v-if="one.problem !== null" class="problem">cannot be taken: {{ one.problem }}</small></span
                        ></label
                    >
                </li>
            </ul>
            <p v-if="offers.items.length > MOST_SHOWN" class="hint">
                And {{ offers.items.length - MOST_SHOWN }} more, which are taken where they are new.
            </p>
            <p class="paper__ends">
                <v-btn @click="offers = null">Take nothing</v-btn
                ><v-btn variant="flat" color="primary" :disabled="taken.length === 0" :loading="working" @click="takeChosen"
                    >Take {{ taken.length }}</v-btn
                >
            </p>
        </section>
        <section class="inout__part" aria-labelledby="inout-tables">
            <h2 id="inout-tables">Tables for a spreadsheet</h2>
            <p class="hint">
                CSV in UTF-8. Nothing in it is run as a formula. A table from outside is looked through row by row before anything is taken.
            </p>
            <ul class="inout__tables">
                <li v-for="(name, one) in TABLES" :key="one" class="inout__table">
                    <span>{{ name }}</span><span class="inout__ways"
                        ><v-btn variant="text" :href="`/api/csv/${one}`" download :aria-label="`Save ${name} as CSV`">Save</v-btn
                        ><v-btn variant="outlined" :aria-label="`Look into a table: ${name}`" @click="chooseTable(one)">Look into a file</v-btn></span
                    >
                </li>
            </ul>
            <input
                ref="rows"
                class="unseen"
                type="file"
                accept=".csv,text/csv,.txt,.tsv"
                tabindex="-1"
                aria-label="A table as CSV"
                @change="lookIntoTable"
            />
        </section>
        <section v-if="looked !== null && table !== null" class="inout__part inout__found" aria-labelledby="inout-rows">
            <h2 id="inout-rows">{{ fileName }}</h2>
            <p role="status">
                {{ TABLES[table] }}: {{ looked.rows }} {{ looked.rows === 1 ? 'row' : 'rows' }}, {{ looked.new }} new, {{ looked.changed }} changed,
                {{ looked.same }} here already<template v-if="looked.problems.length > 0"
                    >, <strong>{{ looked.problems.length }} that cannot be</strong></template
                >.
            </p>
            <p v-if="looked.unknownColumns.length > 0" class="hint">Not read, since no kitchen knows them: {{ looked.unknownColumns.join(', ') }}.</p>
            <table v-if="looked.problems.length > 0" class="inout__problems">
                <thead>
                    <tr>
                        <th scope="col">Row</th>
                        <th scope="col">Column</th>
                        <th scope="col">Says</th>
                        <th scope="col">What is wrong</th>
                    </tr>
                </thead>
                <tbody>
                    <tr v-for="one in looked.problems" :key="`${one.row} ${one.column}`">
                        <td>{{ one.row }}</td>
                        <td>{{ one.column }}</td>
                        <td>{{ one.said === '' ? 'nothing' : one.said }}</td>
                        <td>{{ one.message }}</td>
                    </tr>
                </tbody>
            </table>
            <p v-if="looked.problems.length > 0" class="hint">Mend these rows in the file and look into it again: all of it is taken, or nothing.</p>
            <p class="paper__ends">
                <v-btn @click="looked = null">Take nothing</v-btn
                ><v-btn
                    variant="flat"
                    color="primary"
                    :disabled="looked.problems.length > 0 || looked.new + looked.changed === 0"
                    :loading="working"
                    @click="takeTable"
                    >Take {{ looked.new + looked.changed }} {{ looked.new + looked.changed === 1 ? 'row' : 'rows' }}</v-btn
                >
            </p>
        </section>
        <section class="inout__part" aria-labelledby="inout-rest">
            <h2 id="inout-rest">Everything else</h2>
            <p class="inout__ways">
                <v-btn variant="text" href="/api/calendar" download="mild-bowl.ics">The calendar (iCalendar)</v-btn
                ><v-btn variant="text" href="/api/export" download>Everything as JSON</v-btn
                ><v-btn variant="text" to="/cupboard/backup">The whole kitchen as a backup</v-btn>
            </p>
        </section>
    </div>
</template>
