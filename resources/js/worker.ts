/** What the worker keeps of the server's answers: one person's, and gone when somebody else signs in. */
const SAID = 'apron-said';

/** Puts the application itself on this phone, where the browser can. */
export function keepOnThisPhone(): void {
  if (!('serviceWorker' in navigator) || document.body.classList.contains('print')) return;
  window.addEventListener('load', () => {
    navigator.serviceWorker.register('/sw.js').catch(() => undefined);
  });
}

/** So long it may take before the page goes on; the browser deletes it all the same. */
const AT_MOST_MS = 1000;

/** Nothing that was said to one person is shown to the next. */
export async function forgetWhatWasSaid(): Promise<void> {
  if (!('caches' in window)) return;
  await Promise.race([
    caches.delete(SAID).catch(() => false),
    new Promise((resolve) => setTimeout(resolve, AT_MOST_MS)),
  ]);
}
