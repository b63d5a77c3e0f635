/** What can be done with a recipe that stands on the shelf. */
export type SlipAct = 'compare' | 'again' | 'rename' | 'tags' | 'photograph' | 'unphotograph' | 'print' | 'promote' | 'take-off'
