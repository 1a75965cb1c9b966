import { useState } from 'react';
import { wordsOf } from '../api/client';

/** Sends one thing at a time and keeps what was said of it: nothing typed is lost where it is refused. */
export function useSend() {
  const [why, setWhy] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (asked: () => Promise<unknown>): Promise<boolean> => {
    setBusy(true);
    setWhy(null);
    try {
      await asked();
      return true;
    } catch (error) {
      setWhy(wordsOf(error));
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { why, busy, send };
}
