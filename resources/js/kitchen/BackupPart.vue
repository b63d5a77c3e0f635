<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { api } from '../api/client'
import type { Backup, Backups } from '../api/types.generated'
import { writtenDate } from '../ui/dates'
import { hourOf } from '../making/clockwork'
import { bytes, dayIn } from '../ui/format'
import { tell } from '../ui/notices'
import NumberField from '../ui/NumberField.vue'
import { useReturn } from '../ui/useReturn'
import { useKitchen, wordsOf } from './useKitchen'

/** The whole kitchen as one file: which there are, one made now, one brought in, one put back. */
const kitchen = useKitchen()
const known = ref<Backups | null>(null)
const problem = ref<string | null>(null)
const doing = ref<'backUp' | 'bring' | 'restore' | null>(null)
const putsBack = ref<Backup | null>(null)
const takesAway = ref<Backup | null>(null)
const asksRestore = computed({ get: () => putsBack.value !== null, set: (on) => (putsBack.value = on ? putsBack.value : null) })
const asksRemove = computed({ get: () => takesAway.value !== null, set: (on) => (takesAway.value = on ? takesAway.value : null) })
useReturn(asksRestore)
useReturn(asksRemove)
const picker = ref<HTMLInputElement | null>(null)

const WHY: Record<Backup['reason'], string> = {
    'by-hand': 'by hand',
    nightly: 'of the night',
    'before-upgrade': 'before an upgrade',
    'before-fresh': 'before the kitchen was begun anew',
    'before-restore': 'what was here before another was put back',
    'brought-in': 'brought in from a file',
}
const HOLDS: [string, string, string][] = [
    ['dogs', 'dog', 'dogs'],
    ['recipes', 'recipe', 'recipes'],
    ['batches', 'batch', 'batches'],
    ['ledger_entries', 'treat given', 'treats given'],
    ['diary_entries', 'word of the diary', 'words of the diary'],
    ['photos', 'picture', 'pictures'],
]
/** Nights that are shown in a row, the last one at the right. */
const NIGHTS = 14

const zone = computed(() => kitchen.kitchen?.timezone ?? 'UTC')
const when = (iso: string): string =>
    `${writtenDate(dayIn(zone.value, new Date(iso)), kitchen.kitchen?.datesAs ?? 'dmy')}, ${hourOf(iso, zone.value)}`
const holds = (one: Backup): string =>
    HOLDS.map(([table, single, many]) => ({ n: one.rows[table] ?? 0, single, many }))
        .filter(({ n }) => n > 0)
        .map(({ n, single, many }) => `${n} ${n === 1 ? single : many}`)
        .join(', ')
const newest = computed(() => known.value?.backups.find((one) => one.usable && one.reason !== 'brought-in') ?? null)
const nights = computed(() => {
    const made = new Set((known.value?.backups ?? []).filter((one) => one.reason === 'nightly').map((one) => dayIn(zone.value, new Date(one.made))))
    const now = Date.now()

    return Array.from({ length: NIGHTS }, (_, n) => dayIn(zone.value, new Date(now - (NIGHTS - 1 - n) * 86_400_000))).map((day) => ({
        day,
        made: made.has(day),
    }))
})

async function look(): Promise<void> {
    known.value = await api.backups()
}

async function run(what: NonNullable<typeof doing.value>, work: () => Promise<void>): Promise<void> {
    doing.value = what
    problem.value = null
    try {
        await work()
        await look()
    } catch (error) {
        problem.value = wordsOf(error)
    } finally {
        doing.value = null
    }
}

const backUp = (): Promise<void> =>
    run('backUp', async () => {
        await api.backUp()
        tell('The whole kitchen is in one file.')
    })

async function bring(event: Event): Promise<void> {
    const input = event.target as HTMLInputElement
    const file = input.files?.[0]
    if (file === undefined) return
    await run('bring', async () => {
        putsBack.value = await api.bringBackupIn(file)
    })
    input.value = ''
}

const restore = (one: Backup): Promise<void> =>
    run('restore', async () => {
        try {
            await api.restoreBackup(one.id)
        } finally {
            putsBack.value = null
        }
        await kitchen.open()
        tell('The kitchen holds what the backup held. What was here before is the newest in the list.')
    })

const remove = (one: Backup): Promise<void> =>
    run('bring', async () => {
        takesAway.value = null
        await api.removeBackup(one.id)
    })

const keep = (number: number | null): Promise<void> =>
    run('bring', async () => {
        if (number !== null) await kitchen.change({ backupsKept: number })
    })

onMounted(() => look().catch((error: unknown) => (problem.value = wordsOf(error))))
</script>

<template>
    <div class="backup">
        <p v-if="problem !== null" class="problem" role="alert">{{ problem }}</p>
        <section class="backup__now" aria-label="Now">
            <p class="backup__last" role="status">
                <template v-if="doing === 'backUp'">Writing the whole kitchen into one file …</template>
                <template v-else-if="newest !== null"
                    >Last backed up <strong>{{ when(newest.made) }}</strong>, {{ WHY[newest.reason] }}.</template
                >
                <template v-else-if="known !== null">Nothing is backed up yet. The first is made by itself within ten minutes.</template>
            </p>
            <ol
                v-if="known !== null"
                class="backup__nights"
                :aria-label="`Of the last ${NIGHTS} nights, ${nights.filter((one) => one.made).length} are backed up`"
            >
                <li v-for="one in nights" :key="one.day" class="backup__night" :class="{ 'backup__night--made': one.made }">
                    <span aria-hidden="true">{{ Number(one.day.slice(8)) }}</span><span class="unseen"
                        >{{ writtenDate(one.day, kitchen.kitchen?.datesAs ?? 'dmy') }}: {{ one.made ? 'backed up' : 'none' }}</span
                    >
                </li>
            </ol>
            <p class="backup__tools">
                <v-btn variant="flat" color="primary" :loading="doing === 'backUp'" :disabled="doing !== null" @click="backUp">Back up now</v-btn>
                <v-btn variant="outlined" :loading="doing === 'bring'" :disabled="doing !== null" @click="picker?.click()"
                    >Bring one in from a file</v-btn
                >
                <v-btn variant="text" href="/api/export" download>Everything as JSON</v-btn>
                <input
                    ref="picker"
                    class="unseen"
                    type="file"
                    accept=".zip,application/zip"
                    tabindex="-1"
                    aria-label="A backup as a file"
                    @change="bring"
                />
            </p>
            <NumberField
                v-if="kitchen.kitchen !== null"
                label="Nights that are kept"
                whole
                :value="kitchen.kitchen.backupsKept"
                :least="1"
                :most="100"
                @meant="keep"
            />
            <p class="hint">
                One is made each night while the kitchen is open (or at its next opening), before every upgrade, and before anything is put back. They
                lie on this machine: keep one somewhere else as well, on another disk or a stick. It holds everything, so give it to nobody.
            </p>
        </section>
        <v-skeleton-loader v-if="known === null && problem === null" type="list-item-two-line@3" />
        <ul v-else-if="known !== null" class="backup__list" aria-label="Backups">
            <li v-for="one in known.backups" :key="one.id" class="backup__row">
                <span
                    ><strong>{{ when(one.made) }}</strong> {{ WHY[one.reason] }}
                    <small>{{ one.usable ? `${holds(one)}; ${bytes(one.bytes)}` : 'this file cannot be read any more' }}</small></span
                ><span class="backup__ways"
                    ><v-btn
                        variant="text"
                        :href="`/api/backups/${encodeURIComponent(one.id)}`"
                        download
                        :aria-label="`Save the backup of ${when(one.made)} as a file`"
                        >Save</v-btn
                    ><v-btn
                        variant="outlined"
                        :disabled="!one.usable || doing !== null"
                        :aria-label="`Put the backup of ${when(one.made)} back`"
                        @click="putsBack = one"
                        >Put back</v-btn
                    ><v-btn variant="text" :disabled="doing !== null" :aria-label="`Remove the backup of ${when(one.made)}`" @click="takesAway = one"
                        >Remove</v-btn
                    ></span
                >
            </li>
        </ul>
        <v-dialog v-model="asksRestore" max-width="560" :persistent="doing === 'restore'" aria-labelledby="restore-title">
            <div v-if="putsBack !== null" class="paper">
                <h2 id="restore-title">Put this backup back?</h2>
                <p>
                    Of <strong>{{ when(putsBack.made) }}</strong><template
                        v-if="putsBack.kitchen !== null && putsBack.kitchen !== kitchen.kitchen?.name"
                        >, of the kitchen “{{ putsBack.kitchen }}”</template
                    >: {{ holds(putsBack) || 'nothing' }}.
                </p>
                <p>
                    Everything in the kitchen now ({{ kitchen.dogs.length }} dogs, {{ kitchen.recipes.length }} recipes and all that was noted) gives
                    way to it, for everybody who has the kitchen open. It is backed up first, so this can be taken back.
                </p>
                <p class="paper__ends">
                    <v-btn :disabled="doing === 'restore'" @click="putsBack = null">Leave it as it is</v-btn
                    ><v-btn variant="flat" color="error" :loading="doing === 'restore'" @click="restore(putsBack)">Put it back</v-btn>
                </p>
            </div>
        </v-dialog>
        <v-dialog v-model="asksRemove" max-width="460" aria-labelledby="remove-title">
            <div v-if="takesAway !== null" class="paper">
                <h2 id="remove-title">Remove this backup?</h2>
                <p>Of {{ when(takesAway.made) }}. The file is gone for good then; the kitchen stays as it is.</p>
                <p class="paper__ends">
                    <v-btn @click="takesAway = null">Keep it</v-btn><v-btn variant="flat" color="error" @click="remove(takesAway)">Remove it</v-btn>
                </p>
            </div>
        </v-dialog>
    </div>
</template>
