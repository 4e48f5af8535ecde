/** Whether this Sabor stands behind a proxy, with a certificate of others, and not on the laptop its tester sits at. */
export const isHosted = (): boolean =>
  document.querySelector<HTMLMetaElement>('meta[name="sabor-hosted"]')?.content === 'yes';

/** Where Sabor is, in words. */
export const home = (): string => (isHosted() ? 'the server' : 'the laptop');
