const FIELDS =
    'input:not([inputmode=none]):not([type=hidden]):not([type=checkbox]):not([type=radio]):not([type=file]):not([disabled]):not([readonly]), textarea:not([disabled])'

/** Enter in a field of a form goes on to the next; from the last one to what sends it. A single field is sent. */
export function goOn(event: KeyboardEvent): void {
    const field = event.target
    if (event.defaultPrevented || event.isComposing || !(field instanceof HTMLInputElement) || !(event.currentTarget instanceof HTMLElement)) return
    // a list that is open takes Enter for itself
    if (field.getAttribute('aria-expanded') === 'true') return
    const fields = [...event.currentTarget.querySelectorAll<HTMLElement>(FIELDS)].filter((one) => one.offsetParent !== null)
    if (fields.length < 2) return
    event.preventDefault()
    event.stopPropagation()
    const next = fields[fields.indexOf(field) + 1] ?? event.currentTarget.querySelector<HTMLElement>('[type=submit]:not([disabled])')
    next?.focus()
}
