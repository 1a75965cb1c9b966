import { createContext, useContext, useState, type ReactNode } from 'react';
import type { Control } from '../api/types';

/** The four control layers as they are drawn everywhere: a letter, a colour and a stroke of its own. */
export const THREADS: {
  control: Control;
  letter: string;
  colour: string;
  dash: string;
  width: number;
  name: string;
}[] = [
  { control: 'water', letter: 'W', colour: 'var(--color-water)', dash: '11 5', width: 3, name: 'water' },
  { control: 'air', letter: 'A', colour: 'var(--color-air)', dash: '', width: 3, name: 'air' },
  { control: 'vapour', letter: 'V', colour: 'var(--color-vapour)', dash: '0.1 6', width: 4, name: 'vapour' },
  { control: 'heat', letter: 'H', colour: 'var(--color-heat)', dash: '2 3', width: 7, name: 'heat' },
];

const Context = createContext<{ thread: Control | null; follow: (control: Control | null) => void }>({
  thread: null,
  follow: () => undefined,
});

export function ThreadProvider({ children }: { children: ReactNode }) {
  const [thread, follow] = useState<Control | null>(null);
  return <Context.Provider value={{ thread, follow }}>{children}</Context.Provider>;
}

export const useThread = () => useContext(Context);
