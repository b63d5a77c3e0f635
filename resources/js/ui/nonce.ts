/** What the page's security policy lets styles be put in by; the shell writes it anew for every page. */
export const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content
