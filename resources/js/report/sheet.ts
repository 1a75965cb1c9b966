import type {
  Assessment,
  DrillRun,
  Finding,
  ForOthers,
  ProjectFile,
  SequenceSheet,
  SiteSheet,
  PlanePicture,
  Units,
  ComparedRevisions,
  ContactSheet,
  Seal,
} from '../api/types';

/** An opening of the schedule; `as` is the one of its kind whose sheet is printed. */
export interface Row {
  id: string;
  title: string;
  method: string;
  sizes_mm: number[];
  as: string;
  worst: string;
  severity: Finding['severity'];
}

/** All that is printed, as the page was given it. */
export interface Sheet {
  /** the one detail whose step cards are printed instead of the report */
  cards: string | null;
  by: string;
  at: string;
  practice: string;
  paper: 'letter' | 'a4';
  catalogue: string;
  /** of the rules and figures that it is reckoned by */
  edition: string;
  /** null of a draft */
  revision: { number: number; title: string; words: string; by: string; at: string; sha256: string } | null;
  /** all that was issued up to it, the newest first */
  revisions: { number: number; title: string; by: string; at: string }[];
  compared: (ComparedRevisions & { from: number }) | null;
  seals: Seal[];
  units: Units;
  file: ProjectFile;
  assessment: Assessment;
  sequences: SequenceSheet[];
  schedule: Row[];
  /** temperatures of the sections that were kept, by their ids */
  pictures: Record<string, PlanePicture>;
  contacts: ContactSheet;
  others: ForOthers;
  site: SiteSheet;
  drills: DrillRun[];
  photographs: Record<string, string>;
}
