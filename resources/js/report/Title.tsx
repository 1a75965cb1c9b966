import type { Finding } from '../api/types';
import { Mark } from '../ui/Mark';
import { SeverityMark, severityColour, severityWord } from '../ui/severity';
import type { Entry } from './contents';
import type { Sheet } from './sheet';

const LIMITS = [
  'What is said here follows from the figures and drawings that are in it, by the rules and editions named beside them; what was not looked at is not in it.',
  'It approves nothing and certifies nothing. Local code, the makers’ instructions and the judgement of licensed people decide; structure and fire go to the licensed designer.',
  'Readings and photographs show the places and days that they name, and no others.',
];

/** The first sheet: what it is, for what it was issued, when and by whom, its limits, revisions and contents. */
export function Title({ sheet, contents }: { sheet: Sheet; contents: Entry[] }) {
  const count = (s: Finding['severity']) => sheet.assessment.findings.filter((f) => f.severity === s).length;
  const { revision } = sheet;
  const rows: [string, string][] = [
    ['Issued for', revision ? revision.title : 'a draft, not issued'],
    ['Revision', revision ? `${revision.number}` : 'none'],
    ['Date', (revision?.at ?? sheet.at).slice(0, 10)],
    ['By', `${revision?.by ?? sheet.by}, ${sheet.practice}`],
    ['Climate', sheet.file.climate?.name ?? 'none'],
    ['Units', sheet.units === 'si' ? 'mm, °C, W/m²K' : 'in, °F, R'],
    ['Reckoned by', sheet.edition],
    ...(revision ? ([['Seal', revision.sha256]] as [string, string][]) : []),
  ];
  return (
    <header>
      <p className="flex items-center gap-2 border-b border-ink pb-2 font-bold">
        <Mark /> Apron
      </p>
      <h1 className="mt-6 text-[22pt] leading-tight font-bold">{sheet.file.project.name}</h1>
      <p className="text-[11pt]">Control layers: assemblies, transitions, sequences, and what was seen on site</p>
      <table className="mt-5 border-collapse">
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name} className="border-b border-hair">
              <th className="pr-6 text-left align-top font-normal text-faint">{name}</th>
              <td className="break-all">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {revision?.words && (
        <>
          <h3 className="mt-5 font-bold">Scope</h3>
          <p className="whitespace-pre-line">{revision.words}</p>
        </>
      )}
      <h3 className="mt-5 font-bold">Limits</h3>
      <ul className="list-disc pl-5">
        {LIMITS.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p className="mt-5">
        {(['fail', 'caution', 'note', 'pass'] as const).map((s) => (
          <span key={s} className={`mr-4 ${severityColour(s)}`}>
            <SeverityMark severity={s} /> {count(s)} {severityWord(s).toLowerCase()}
          </span>
        ))}
      </p>
      {sheet.revisions.length > 0 && (
        <>
          <h3 className="mt-5 font-bold">Issued so far</h3>
          <table className="w-full border-collapse text-[8.5pt]">
            <tbody>
              {sheet.revisions.map((r) => (
                <tr key={r.number} className="border-b border-hair">
                  <td className="w-[2rem]">{r.number}</td>
                  <td>{r.title}</td>
                  <td>{r.at.slice(0, 10)}</td>
                  <td>{r.by}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <nav className="contents-page" aria-label="Contents">
        <h3 className="pb-1 text-[14pt] font-bold">Contents</h3>
        <ol className="columns-2 gap-8 text-[8.5pt]">
          {contents.map((entry) => (
            <li key={entry.id} className={entry.chapter ? 'together mt-2 font-bold' : 'together pl-3'}>
              <a href={`#${entry.id}`} className="flex justify-between gap-2">
                <span>
                  {entry.number} {entry.title}
                </span>
                <span data-page-of={entry.id} className="min-w-[2.5em] self-end text-right font-normal" />
              </a>
            </li>
          ))}
        </ol>
      </nav>
    </header>
  );
}
