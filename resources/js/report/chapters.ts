import type { FC } from 'react';
import type { ProjectFile } from '../api/types';
import { Acceptances } from './Acceptances';
import { Assemblies } from './Assemblies';
import { Building } from './Building';
import { Brief } from './Brief';
import { Contacts } from './Contacts';
import { Details } from './Details';
import { Others } from './Others';
import { Plan } from './Plan';
import { Takeoff } from './Takeoff';
import { Tests } from './Tests';
import { Schedule } from './Schedule';
import type { Sheet } from './sheet';
import { Site } from './Site';
import { Training } from './Training';

type Chapter = FC<{ sheet: Sheet }>;

/**
 * The chapters of the report by the section of the project file that they print, in the order of the report. A
 * section without an entry does not compile; `null` is one that is printed within others.
 */
const BY_SECTION: Record<Exclude<keyof ProjectFile, 'format' | 'catalogue'>, Chapter | null> = {
  project: null,
  materials: null,
  systems: null,
  adhesion: null,
  climate: Brief,
  indoor: null,
  conditions: null,
  assemblies: Assemblies,
  openings: Schedule,
  building: Building,
  takeoff: Takeoff,
  plan: Plan,
  tests: Tests,
  details: Details,
  asked: Contacts,
  site: Site,
  training: Training,
  acceptances: Acceptances,
};

/** What is printed of no one section. */
const BESIDES: Chapter[] = [Others];

export const CHAPTERS = [...Object.values(BY_SECTION).filter((chapter) => chapter !== null), ...BESIDES];
