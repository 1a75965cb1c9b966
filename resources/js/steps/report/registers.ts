import { get } from '../../api/client';
import { address } from '../../api/paths';
import { saveWorkbook, type Table } from '../../ui/workbook';

/** The registers of a project as one workbook. */
export async function registers(project: string): Promise<void> {
  const [materials, site, assessment] = await Promise.all([
    get(address('/api/projects/{project}/materials', { project })),
    get(address('/api/projects/{project}/site', { project })),
    get(address('/api/projects/{project}/assessment', { project }, { paths: 'none' })),
  ]);
  const columns = (...titles: [string, number][]) => titles.map(([title, wide]) => ({ title, wide }));
  const tables: Table[] = [
    {
      title: 'Findings',
      columns: columns(['severity', 10], ['of', 30], ['title', 50], ['reason', 60], ['remedy', 50], ['source', 30]),
      rows: assessment.findings.map((f) => [f.severity, f.subject, f.title, f.reason, f.remedy, f.source.name]),
    },
    {
      title: 'Readings',
      columns: columns(['check', 30], ['of', 30], ['title', 40], ['at', 20], ['by', 20], ['mm', 10], ['verdict', 10]),
      rows: site.checks.flatMap((c) =>
        c.readings.map((r) => [c.id, c.detail_title, c.title, r.at, r.by, r.value_mm ?? null, r.severity_of]),
      ),
    },
    {
      title: 'Faults',
      columns: columns(['state', 10], ['severity', 10], ['words', 60], ['at', 20], ['by', 20], ['repair', 40]),
      rows: site.faults.map((f) => [
        f.state,
        f.severity,
        f.raised.words ?? '',
        f.raised.at,
        f.raised.by,
        f.repaired?.words ?? '',
      ]),
    },
    {
      title: 'Materials',
      columns: columns(['id', 26], ['name', 40], ['family', 20], ['source', 40]),
      rows: materials.map((m) => [m.id, m.name, m.family ?? '', m.source?.name ?? '']),
    },
  ];
  await saveWorkbook(tables, 'registers.xlsx');
}
