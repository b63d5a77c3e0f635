import { KitchenProblem } from '../api/client'

/** What went wrong, in words for whoever stands before the page. */
export function wordsOf(error: unknown): string {
    return error instanceof KitchenProblem ? error.message : 'Something went wrong in this page. What you typed is kept in this browser.'
}
