import type { components } from './schema';

type Schemas = components['schemas'];

export type Role = Schemas['Person']['role'];
export type PersonRow = Schemas['PersonRow'];
export type IssuedRevision = Schemas['IssuedRevision'];
export type Seal = Schemas['Seal'];
export type ComparedRevisions = Schemas['ComparedRevisions'];
export type Assembly = Schemas['Assembly'];
export type Layer = Schemas['Layer'];
export type Control = Schemas['Control'];
export type Material = Schemas['Material'];
export type Climate = Schemas['Climate'];
export type IndoorAir = Schemas['IndoorAir'];
export type BriefContent = Schemas['BriefContent'];
export type Detail = Schemas['Detail'];
export type ScheduledOpening = Schemas['ScheduledOpening'];
export type Piece = Schemas['Piece'];
export type Patch = Schemas['Patch'];
export type Assessment = Schemas['Assessment'];
export type AssemblyFigures = Schemas['AssemblyFigures'];
export type Profile = Schemas['Profile'];
export type Plane = Schemas['Plane'];
export type Finding = Schemas['Finding'];
export type Weather = Schemas['Weather'];
export type RunCure = Schemas['RunCure'];
export type Severity = Finding['severity'];
export type ProjectDocuments = Schemas['ProjectDocuments'];
export type ProjectFile = Schemas['ProjectFile'];
export type SequenceSheet = Schemas['SequenceSheet'];
export type School = Schemas['School'];
export type Method = Schemas['Method'];
export type MethodParameter = Schemas['MethodParameter'];
export type Joinery = Schemas['Joinery'];
export type Drill = Schemas['Drill'];
export type DrillRun = Schemas['DrillRun'];
export type RainStrip = Schemas['RainStrip'];
export type SiteSheet = Schemas['SiteSheet'];
export type System = Schemas['System'];
export type Building = Schemas['Building'];
export type Plan = Schemas['Plan'];
export type Task = Schemas['Task'];
export type FieldTest = Schemas['FieldTest'];
export type Run = Schemas['Run'];
export type DerivedRun = Extract<NonNullable<Schemas['Assessment']['runs']>[number], { interfaces: unknown }>;
export type RunStands = Schemas['RunStands'];
export type RunPicture = Schemas['RunPicture'];
export type PlaneSection = Schemas['PlaneSection'];
export type PlanePicture = Schemas['PlanePicture'];
export type MadeJoint = Schemas['MadeJoint'];
export type FanTest = Schemas['FanTest'];
export type TestKind = FieldTest['kind'];
export type Procedure = Schemas['Procedure'];
export type DerivedTest = NonNullable<Schemas['Assessment']['tests']>[number];
export type DerivedFan = Extract<DerivedTest, { kind: 'fan' }>;
export type Takeoff = Schemas['Takeoff'];
export type LayerRule = Schemas['LayerRule'];
export type Amount = NonNullable<Schemas['Assessment']['quantities']>[number];
export type Layout = NonNullable<Schemas['Assessment']['layouts']>[number];
export type DerivedTakeoff = NonNullable<Schemas['Assessment']['takeoff']>;
export type DerivedCalendar = NonNullable<Schemas['Assessment']['calendar']>;
export type DerivedBuilding = NonNullable<Schemas['Assessment']['building']>;
export type AdhesionTest = Schemas['AdhesionTest'];
export type AskedPair = Schemas['AskedPair'];
export type PairAnswer = Schemas['PairAnswer'];
export type ContactSheet = Schemas['ContactSheet'];
export type ForOthers = Schemas['ForOthers'];
export type SiteCheck = Schemas['SiteCheck'];
export type SiteEvent = Schemas['SiteEvent'];
export type Fault = Schemas['Fault'];
export type Check = Schemas['Check'];
export type Cure = Schemas['Cure'];
export type Cures = Schemas['Cures'];
export type SweepRow = Schemas['SweepRow'];
export type Example = Schemas['Example'];
export type ReadClimate = Schemas['ReadClimate'];
export type Drying = Schemas['Drying'];
export type Framing = Schemas['Framing'];
export type Bridge = Schemas['Bridge'];
export type Units = 'si' | 'us';

/** One document of a project, with the revision it was read at. */
export interface Doc<T> {
  kind: string;
  key: string;
  revision: number;
  content: T;
  /** why it can no longer be read, where it cannot */
  broken?: string | null;
  /** the id that its last save was sent with */
  save?: string | null;
}

/** A document as one save left it; without content where it was removed. */
export type Revision = Schemas['Revision'];
export type RemovedDocument = Schemas['RemovedDocument'];

export type ReportState = Schemas['Report'];
