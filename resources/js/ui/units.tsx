import { createContext, useContext, useState, type ReactNode } from 'react';
import type { Units } from '../api/types';

interface Shown {
  units: Units;
  /** The project's own, until `u` was pressed. */
  setProject: (units: Units) => void;
  toggle: () => void;
}

const Context = createContext<Shown>({ units: 'si', setProject: () => undefined, toggle: () => undefined });

export function UnitsProvider({ children }: { children: ReactNode }) {
  const [project, setProject] = useState<Units>('si');
  const [other, setOther] = useState(false);
  const units = other ? (project === 'si' ? 'us' : 'si') : project;
  return (
    <Context.Provider value={{ units, setProject, toggle: () => setOther((o) => !o) }}>{children}</Context.Provider>
  );
}

export const useUnits = () => useContext(Context);
