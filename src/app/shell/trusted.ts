interface Policies {
  createPolicy(name: string, rules: { createScriptURL(url: string): string | null }): unknown;
}

/** Workers, and the service worker, are loaded from where the application came from, or not at all. */
export function onlyOwnScripts(): void {
  const policies = (globalThis as { readonly trustedTypes?: Policies }).trustedTypes;
  policies?.createPolicy('default', {
    createScriptURL: (url) => (new URL(url, location.href).origin === location.origin ? url : null),
  });
}
