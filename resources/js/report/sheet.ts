import type {
  Assessment,
  DrillRun,
  Finding,
  ForOthers,
  ProjectFile,
  SequenceSheet,
  SiteSheet,
  Units,
  ContactSheet,
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
  catalogue: string;
  units: Units;
  file: ProjectFile;
  assessment: Assessment;
  sequences: SequenceSheet[];
  schedule: Row[];
  contacts: ContactSheet;
  others: ForOthers;
  site: SiteSheet;
  drills: DrillRun[];
  photographs: Record<string, string>;
}
