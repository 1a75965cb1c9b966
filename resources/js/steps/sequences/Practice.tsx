import { useCallback, useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { get, post } from '../../api/client';
import { address } from '../../api/paths';
import { useDrills, useProjectId, useSequence } from '../../api/hooks';
import type { Drill } from '../../api/types';
import { Dimensions } from '../../drawing/unfolded/Dimensions';
import { Numbers } from '../../drawing/unfolded/Numbers';
import { Unfolded } from '../../drawing/unfolded/Unfolded';
import { Water } from '../../drawing/unfolded/Water';
import { Frame } from '../../ui/Frame';
import { useKeys } from '../../ui/keys';
import { SeverityMark } from '../../ui/severity';
import { useUnits } from '../../ui/units';

/** Practice on the same model: the steps shuffled, to be put in order, built as they come and rained on. */
export default function Practice() {
  const { key = '' } = useParams();
  const project = useProjectId();
  const navigate = useNavigate();
  const { units } = useUnits();
  const sheet = useSequence(key).data;
  const record = useDrills();
  // A crew can be given the same drill by its address.
  const [seed, setSeed] = useState(
    () => Number(new URLSearchParams(location.search).get('seed')) || Math.floor(Math.random() * 1e6) + 1,
  );
  const [order, setOrder] = useState<number[]>([]);
  const [at, setAt] = useState(0);
  const [tries, setTries] = useState(0);
  const [result, setResult] = useState<Drill | null>(null);
  const [kept, setKept] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const say = (error: unknown) => setWhy(error instanceof Error ? error.message : 'The server does not answer.');

  useEffect(() => {
    let stale = false;
    get(address('/api/projects/{project}/sequences/{key}/drill', { project, key }, { seed: String(seed) })).then(
      (shuffled) => {
        if (!stale) {
          setOrder(shuffled);
          setResult(null);
          setTries(0);
          setKept(false);
          setAt(0);
        }
      },
      say,
    );
    return () => {
      stale = true;
    };
  }, [project, key, seed]);

  const move = useCallback(
    (from: number, by: number) => {
      const to = from + by;
      setOrder((now) => {
        if (to < 0 || to >= now.length) return now;
        const next = [...now];
        [next[from], next[to]] = [next[to] as number, next[from] as number];
        return next;
      });
      setAt((i) => (to < 0 || to >= order.length ? i : to));
      setResult(null);
      setKept(false);
    },
    [order.length],
  );
  const run = async (keep = false) => {
    try {
      const n = keep ? tries : tries + 1;
      setResult(
        await post(address('/api/projects/{project}/sequences/{key}/drill', { project, key }), {
          order,
          units,
          tries: Math.max(1, n),
          keep,
        }),
      );
      setTries(n);
      setWhy(null);
      if (keep) {
        setKept(true);
        await record.refetch();
      }
    } catch (error) {
      say(error);
    }
  };
  useKeys({
    ArrowUp: { shown: '↑ ↓', says: 'the step before, the next', act: () => setAt((i) => Math.max(0, i - 1)) },
    ArrowDown: () => setAt((i) => Math.min(order.length - 1, i + 1)),
    'Alt+ArrowUp': { shown: 'Alt+↑ Alt+↓', says: 'do it earlier, later', act: () => move(at, -1) },
    'Alt+ArrowDown': () => move(at, 1),
    Enter: { says: 'run the rain', act: () => void run() },
    s: { says: 'shuffle again', act: () => setSeed(seed + 1) },
    k: {
      says: 'keep the result in the training record',
      act: () => {
        if (result && !kept) void run(true);
      },
    },
    Escape: { shown: 'Esc', says: 'back to the drawing', act: () => navigate(`/p/${project}/sequences/${key}`) },
  });
  const title = (n: number) => sheet?.steps.find((s) => s.number === n)?.title ?? String(n);
  const done = result !== null && result.broken.length === 0;
  const last = result?.sheet?.steps.at(-1)?.number ?? 1;
  const panel = (
    <>
      <h2 className="pb-1 text-[15px] font-bold">
        {result === null ? 'Put the steps in order' : done ? 'This order can be built' : 'This order goes against'}
      </h2>
      <p className="flex flex-wrap gap-2 py-2">
        <button className="act" onClick={() => void run()}>
          run the rain <span className="key">Enter</span>
        </button>
        <button className="act" onClick={() => setSeed(seed + 1)}>
          shuffle <span className="key">s</span>
        </button>
        <button className="act" disabled={result === null || kept} onClick={() => void run(true)}>
          {kept ? 'kept' : 'keep it'} <span className="key">k</span>
        </button>
      </p>
      {result === null && <p>Move them with Alt and the arrows, or the small arrows beside each; then run the rain.</p>}
      {result?.refused && (
        <p className="text-fail" data-refused>
          It cannot be built so: {result.refused}.
        </p>
      )}
      {result && result.broken.length > 0 && (
        <ul className="py-1" data-broken={result.broken.length}>
          {result.broken.map((b) => (
            <li key={`${b.before}-${b.after}`} className="border-t border-hair py-1">
              <b>{title(b.before)}</b> must come before <b>{title(b.after)}</b>: {b.why}.
            </li>
          ))}
        </ul>
      )}
      {result?.worst && (
        <p className="border-t border-hair py-2" data-worst={result.worst}>
          The rain on it: <b>{result.worst}</b>.
          {!done &&
            ' Of a wrong order not everything shows in the rain: what cannot be reached, cured or looked at any more does not.'}
        </p>
      )}
      {result?.sheet?.findings
        .filter((f) => f.severity === 'fail' || f.severity === 'caution')
        .map((f) => (
          <p key={f.key} className="flex gap-2 border-t border-hair py-1">
            <span className="pt-[3px]">
              <SeverityMark severity={f.severity} />
            </span>
            {f.title}
          </p>
        ))}
      {done && <p className="py-1 text-pass">Tries: {tries}.</p>}
      {why && (
        <p role="alert" className="text-fail">
          {why}
        </p>
      )}
      {(record.data?.length ?? 0) > 0 && (
        <section className="border-t border-hair py-2">
          <h3 className="font-semibold">Training record</h3>
          <table className="w-full text-[11px]">
            <tbody>
              {record.data?.slice(0, 12).map((r, i) => (
                <tr key={i} data-kept={r.detail} className="border-t border-hair align-top">
                  <td>{r.at?.slice(0, 10)}</td>
                  <td>{r.by}</td>
                  <td>{r.detail}</td>
                  <td>
                    {r.broken === 0 ? 'in order' : `${r.broken} against`},{' '}
                    {r.tries === 1 ? '1 try' : `${r.tries} tries`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <p className="py-2">
        <Link className="link" to={`/p/${project}/sequences/${key}`}>
          back to the drawing
        </Link>{' '}
        <span className="key">Esc</span>
      </p>
    </>
  );
  return (
    <Frame sheet={`5 Try it ${key}`} reckoning={panel}>
      <div className="grid h-full min-h-[560px] grid-cols-[minmax(300px,2fr)_3fr] gap-6 px-6 py-4">
        <div>
          <h1 className="pb-2 text-[17px] font-bold">Try it: {sheet?.detail.title}</h1>
          <ol data-order={order.join(' ')}>
            {order.map((n, i) => (
              <li
                key={n}
                className={`flex items-baseline gap-2 border-t border-hair py-[6px] ${i === at ? 'bg-board font-bold' : ''}`}
                aria-current={i === at ? 'true' : undefined}
                onClick={() => setAt(i)}
              >
                <span className="w-5 text-right text-faint">{i + 1}</span>
                <span className="grow">{title(n)}</span>
                <button
                  className="act"
                  aria-label={`${title(n)}: up`}
                  disabled={i === 0}
                  onClick={(e) => {
                    e.stopPropagation();
                    move(i, -1);
                  }}
                >
                  ↑
                </button>
                <button
                  className="act"
                  aria-label={`${title(n)}: down`}
                  disabled={i === order.length - 1}
                  onClick={(e) => {
                    e.stopPropagation();
                    move(i, 1);
                  }}
                >
                  ↓
                </button>
              </li>
            ))}
          </ol>
        </div>
        <div className="min-h-0">
          {result?.sheet ? (
            <Unfolded sheet={result.sheet} step={last} units={units}>
              <Water
                strips={
                  result.sheet.rain
                    .find((r) => r.step === last)
                    ?.strips.filter((s) => s.source !== 'face' || s.severity === 'fail') ?? []
                }
                running
              />
              <Numbers />
              <Dimensions />
            </Unfolded>
          ) : (
            <p className="pt-16 text-center text-[15px] text-faint">
              {result
                ? 'Nothing to draw: two pieces would have to lie over and under each other.'
                : 'What your order makes is drawn here, in the rain.'}
            </p>
          )}
        </div>
      </div>
    </Frame>
  );
}
