/** The word by which the browser knows that a style is ours; the server makes it anew for each page. */
export const styleNonce = (): string =>
  document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? '';
