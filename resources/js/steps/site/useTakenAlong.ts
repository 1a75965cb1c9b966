import { useEffect, useState } from 'react';
import { address } from '../../api/paths';
import type { SiteSheet, Units } from '../../api/types';

/** So many drawings are taken along: those of a day's visit, and more than anybody opens on it. */
const MOST = 120;

export interface TakenAlong {
  here: number;
  of: number;
}

/**
 * Brings what a visit needs onto the phone while there is a signal: drawings and cards of what is checked, materials,
 * findings, plan and building, photographs taken. The worker keeps each answer; null where there is no worker.
 */
export function useTakenAlong(project: string, site: SiteSheet | undefined, units: Units): TakenAlong | null {
  const [taken, setTaken] = useState<TakenAlong | null>(null);
  const checks = site?.checks.length ?? 0;
  const pictures = site?.photographs.length ?? 0;
  useEffect(() => {
    if (!site || !('serviceWorker' in navigator)) return undefined;
    const left = new AbortController();
    const details = [...new Set(site.checks.filter((c) => c.of === 'detail').map((c) => c.detail))].slice(0, MOST);
    const addresses = [
      '/api/me',
      address('/api/projects/{project}', { project }),
      address('/api/projects/{project}/site', { project }, { units }),
      address('/api/projects/{project}/assessment', { project }, { units, paths: 'none' }),
      address('/api/projects/{project}/materials', { project }),
      address('/api/projects/{project}/others', { project }, { units }),
      ...details.map((key) => address('/api/projects/{project}/sequences/{key}', { project, key }, { units })),
      ...site.photographs
        .flatMap((p) => p.photographs ?? [])
        .map((digest) => address('/api/projects/{project}/photographs/{digest}', { project, digest })),
    ];
    void (async () => {
      await navigator.serviceWorker.ready;
      let here = 0;
      setTaken({ here, of: addresses.length });
      for (const one of addresses) {
        if (left.signal.aborted) return;
        // Without a signal the worker answers what it has: that counts as here.
        const answer = await fetch(one, { headers: { Accept: 'application/json' }, signal: left.signal }).catch(
          () => null,
        );
        if (answer?.ok) setTaken({ here: ++here, of: addresses.length });
      }
    })();
    return () => left.abort();
    // What is checked, not every answer about it, says what is taken along.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [project, units, checks, pictures]);
  return taken;
}
