import type { FC } from 'react';
import type { ProjectFile } from '../api/types';
import { Acceptances } from './Acceptances';
import { AllFindings } from './AllFindings';
import { Assemblies } from './Assemblies';
import { Building } from './Building';
import { Brief } from './Brief';
import { Changes } from './Changes';
import { Contacts } from './Contacts';
import { Details } from './Details';
import { Hidden } from './Hidden';
import { Hours } from './Hours';
import { Joints } from './Joints';
import { Others } from './Others';
import { Plan } from './Plan';
import { Takeoff } from './Takeoff';
import { Tests } from './Tests';
import { Schedule } from './Schedule';
import { Seals } from './Seals';
import type { Sheet } from './sheet';
import { Sources } from './Sources';
import { Site } from './Site';
import { Training } from './Training';

type Printed = FC<{ sheet: Sheet }>;

/**
 * What prints each section of the project file. A section without an entry does not compile; `null` is one that is
 * printed within others.
 */
const BY_SECTION = {
  project: null,
  materials: null,
  systems: null,
  adhesion: null,
  climate: Brief,
  indoor: null,
  conditions: null,
  weather: null,
  assemblies: Assemblies,
  openings: Schedule,
  building: Building,
  plane_sections: Joints,
  runs: Hours,
  takeoff: Takeoff,
  plan: Plan,
  tests: Tests,
  details: Details,
  asked: Contacts,
  site: Site,
  training: Training,
  acceptances: Acceptances,
} satisfies Record<Exclude<keyof ProjectFile, 'format' | 'catalogue'>, Printed | null>;

/** The chapters by the steps of the work, each of the sheets that it prints. */
export const CHAPTERS: { number: string; title: string; sheets: Printed[] }[] = [
  { number: '0', title: 'What has changed', sheets: [Changes] },
  { number: '1', title: 'Brief', sheets: [BY_SECTION.climate] },
  { number: '2', title: 'Assemblies', sheets: [BY_SECTION.assemblies, BY_SECTION.runs, BY_SECTION.plane_sections] },
  { number: '3', title: 'Contacts', sheets: [BY_SECTION.asked] },
  { number: '4', title: 'Transitions', sheets: [BY_SECTION.building] },
  { number: '5', title: 'Sequences', sheets: [BY_SECTION.openings, BY_SECTION.details, Others, BY_SECTION.training] },
  { number: '6', title: 'Quantities', sheets: [BY_SECTION.takeoff] },
  { number: '7', title: 'Calendar', sheets: [BY_SECTION.plan] },
  { number: '8', title: 'Site', sheets: [BY_SECTION.site] },
  { number: '9', title: 'Tests', sheets: [BY_SECTION.tests] },
  { number: '10', title: 'Registers', sheets: [Hidden, Seals] },
  { number: '11', title: 'Findings', sheets: [BY_SECTION.acceptances, AllFindings] },
  { number: '12', title: 'Sources and cautions', sheets: [Sources] },
];
