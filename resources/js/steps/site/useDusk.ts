import { useState } from 'react';

const KEY = 'apron-palette';

/** Black on white in the sun; the other way round at dusk, so that nobody is blinded. Kept on the phone. */
export function useDusk(): [boolean, (dusk: boolean) => void] {
  const [dusk, setDusk] = useState(() => {
    try {
      return localStorage.getItem(KEY) === 'dusk';
    } catch {
      return false;
    }
  });
  return [
    dusk,
    (to) => {
      setDusk(to);
      try {
        localStorage.setItem(KEY, to ? 'dusk' : 'sun');
      } catch {
        // It holds until the page is left.
      }
    },
  ];
}
