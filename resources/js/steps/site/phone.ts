import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { SiteEvent } from '../../api/types';

/** The server says who: the person signed in when it is sent, who must be the one who saw it. */
export type Waiting = Omit<SiteEvent, 'by'>;

/** One thing that waits on this phone: an event, with the photograph that it is of where that has not been sent. */
export interface Entry {
  id: string;
  /** whose it is, and of which project: `project person` */
  of: string;
  /** in this order it goes up */
  order: number;
  event: Waiting;
  photograph?: Blob;
  /** set aside, and why */
  why?: string;
}

/** Where it is kept: the browser's own database, or a stand-in of a test. */
export interface Keeping {
  load: (of: string) => Promise<Entry[]>;
  put: (entry: Entry) => Promise<void>;
  remove: (ids: string[]) => Promise<void>;
}

interface Phone extends DBSchema {
  waiting: { key: string; value: Entry; indexes: { of: string } };
}

let phone: Promise<IDBPDatabase<Phone>> | null = null;

function open(): Promise<IDBPDatabase<Phone>> {
  phone ??= openDB<Phone>('apron', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'id' }).createIndex('of', 'of');
    },
    // Another tab brings a later version: it is let through, and this one opens again when it is next asked.
    blocking: () => {
      void phone?.then((db) => db.close());
      phone = null;
    },
    terminated: () => {
      phone = null;
    },
  });
  return phone;
}

/** Kept in IndexedDB: it survives a reload, a closed browser and a phone that was switched off. */
export const onThisPhone: Keeping = {
  load: async (of) => (await open()).getAllFromIndex('waiting', 'of', of),
  put: async (entry) => {
    await (await open()).put('waiting', entry);
  },
  remove: async (ids) => {
    const done = (await open()).transaction('waiting', 'readwrite');
    await Promise.all([...ids.map((id) => done.store.delete(id)), done.done]);
  },
};
