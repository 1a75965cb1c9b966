import { useMutation } from '@tanstack/react-query';
import { get, wordsOf } from '../../api/client';
import { useProjectId } from '../../api/hooks';
import { address } from '../../api/paths';
import type { Plan } from '../../api/types';
import { FORECAST } from '../../plan/forecast';
import { TableField } from '../../ui/TableField';
import { without } from '../../ui/without';

interface Props {
  plan: Plan;
  change: (plan: Plan, run?: string) => void;
}

/** Days ahead: typed, pasted, read from a file, or asked of the simulated station, and then marked so. */
export function Forecast({ plan, change }: Props) {
  const project = useProjectId();
  const start = plan.today ?? plan.start;
  const ask = useMutation({
    mutationFn: () => get(address('/api/projects/{project}/plan/forecast', { project }, { start })),
    onSuccess: ({ forecast }) => change({ ...plan, forecast, forecast_by: 'simulated-station' }),
  });
  return (
    <details className="text-[12px]" data-forecast={plan.forecast?.length ?? 0}>
      <summary className="cursor-pointer">
        forecast: {plan.forecast ? `${plan.forecast.length} days` : 'none'}
        {plan.forecast_by === 'simulated-station' && <b> · simulated, not a real one</b>}
      </summary>
      <TableField
        label="Forecast"
        table={FORECAST}
        rows={plan.forecast ?? []}
        put={(forecast) => {
          const bare = without(without(plan, 'forecast'), 'forecast_by');
          change(forecast.length > 0 ? { ...bare, forecast } : bare);
        }}
      />
      <p>
        <button className="act" disabled={ask.isPending} onClick={() => ask.mutate()}>
          ask the simulated station for a fortnight
        </button>{' '}
        {ask.isError && (
          <span role="alert" className="text-fail">
            {wordsOf(ask.error)}
          </span>
        )}
      </p>
    </details>
  );
}
