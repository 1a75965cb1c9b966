import type { PairAnswer } from '../../api/types';
import { WAYS } from '../../material/ways';
import type { Table } from '../../ui/workbook';

/** The compatibility schedule as a table, worst first. */
export const scheduleOf = (contacts: PairAnswer[]): Table => ({
  title: 'Contacts',
  columns: [
    { title: 'severity', wide: 10 },
    { title: 'verdict', wide: 13 },
    { title: 'this', wide: 30 },
    { title: 'how', wide: 12 },
    { title: 'that', wide: 30 },
    { title: 'why', wide: 50 },
    { title: 'what to do', wide: 40 },
    { title: 'rule', wide: 28 },
    { title: 'source', wide: 30 },
    { title: 'where', wide: 30 },
  ],
  rows: contacts.map((c) => [
    c.severity,
    c.verdict,
    c.a_name,
    WAYS[c.how],
    c.b_name,
    c.reason,
    c.remedy,
    c.rule,
    c.source.name,
    c.where.map((w) => w.title).join('; '),
  ]),
});
