/** The ten steps in working order. */
export const STEPS: { key: string; path: string; title: string }[] = [
  { key: '1', path: 'brief', title: 'Brief' },
  { key: '2', path: 'assemblies', title: 'Assemblies' },
  { key: '3', path: 'contacts', title: 'Contacts' },
  { key: '4', path: 'transitions', title: 'Transitions' },
  { key: '5', path: 'sequences', title: 'Sequences' },
  { key: '6', path: 'quantities', title: 'Quantities' },
  { key: '7', path: 'calendar', title: 'Calendar' },
  { key: '8', path: 'site', title: 'Site' },
  { key: '9', path: 'tests', title: 'Tests' },
  { key: '0', path: 'report', title: 'Report' },
];
