import { Link } from 'react-router';
import { SeverityMark } from '../../ui/severity';
import { useSheet } from './Sheet';

/**
 * Where a piece wants something of what it lies on: of the step that is shown, and of all once the last is laid. Each
 * leads to its pair.
 */
export function TouchMarks({ to }: { to: (contact: string) => string }) {
  const { sheet, step, box, k } = useSheet();
  const last = Math.max(...sheet.steps.map((s) => s.number));
  const shown = (sheet.touches ?? []).filter((mark) => mark.step === step || (step === last && mark.step <= step));
  return shown.map((mark) => {
    const b = box({ facet: mark.facet, rect: mark.rect as [number, number, number, number] });
    const half = 10 * k;
    return (
      <Link
        key={`${mark.contact} ${mark.piece} ${mark.facet}`}
        to={to(mark.contact)}
        aria-label={mark.says}
        data-touching={mark.severity}
      >
        <title>{mark.says}</title>
        <g transform={`translate(${b.x + b.width / 2 - half} ${b.y + b.height / 2 - half}) scale(${k})`}>
          <rect width="20" height="20" fill="#fff" stroke="var(--color-ink)" strokeWidth="1" />
          <g transform="translate(4 4)">
            <SeverityMark severity={mark.severity} size={12} />
          </g>
        </g>
      </Link>
    );
  });
}
