/** What the worker keeps of the server's answers: one person's, and gone when somebody else signs in. */
const SAID = 'apron-said';

/** Puts the application itself on this phone, where the browser can. */
export function keepOnThisPhone(): void {
  if (!('serviceWorker' in navigator) || document.body.classList.contains('print')) return;
  window.addEventListener('load', () => {
    navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  });
}

/** Nothing that was said to one person is shown to the next. */
export async function forgetWhatWasSaid(): Promise<void> {
  if ('caches' in window) await caches.delete(SAID).catch(() => false);
}
