/** Over figures that are not those of what is drawn: being worked out, or why they are not. */
export function Old({ old, why }: { old: boolean; why: string | null }) {
  if (why !== null) {
    return (
      <p role="alert" className="mb-2 whitespace-pre-line border border-fail p-2 text-fail" data-old="refused">
        {why}
        {'\n'}The figures below are those of before.
      </p>
    );
  }
  return (
    <p className="h-[18px] text-[11px] text-faint" data-old={old}>
      {old ? 'figures of before; working out those of now …' : ''}
    </p>
  );
}
