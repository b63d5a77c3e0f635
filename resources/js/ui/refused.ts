/** Whether a number of this form was refused where it was typed; the first of them takes the focus, so that nothing is sent that nobody meant. */
export function refusedIn(form: EventTarget | null): boolean {
    const field = form instanceof Element ? form.querySelector<HTMLInputElement>('[data-refused] input') : null
    field?.focus()

    return field !== null
}
