import { Frame } from '../../ui/Frame';

export function Later({ step }: { step: { title: string; later?: string } }) {
  return (
    <Frame sheet={step.title} reckoning={<p className="text-faint">Nothing is reckoned here yet.</p>}>
      <div className="px-14 py-8">
        <h1 className="mb-3 text-lg font-bold">{step.title}</h1>
        <p className="max-w-[44rem] text-[15px]">{step.later} It is not built yet.</p>
      </div>
    </Frame>
  );
}
