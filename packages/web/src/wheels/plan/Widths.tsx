import type { MovementsAt } from '@jasperwren/motion/planner/plan-exercise';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import { widthsSentence } from '@jasperwren/words/motion-sentences';
import Button from '@mui/material/Button';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { Section } from '../../ui/Page';
import { Loading, NotWorkedOut } from '../../ui/states';
import { mostMovements, useWidths } from '../use-plan';

const Chart = lazy(() => import('../../charts/Chart'));

/** How many movements a turn in the road takes by its width; worked out when it is asked for. */
export default function Widths({ vehicle }: { readonly vehicle: Vehicle }) {
  const [asked, setAsked] = useState(false);
  return (
    <Section title={t('widths')}>
      <p>{t('widthsWhy')}</p>
      {asked ? (
        <Curve key={JSON.stringify(vehicle)} vehicle={vehicle} />
      ) : (
        <Button variant="outlined" onClick={() => setAsked(true)}>
          {t('widthsShow')}
        </Button>
      )}
    </Section>
  );
}

const none: readonly MovementsAt[] = [];

function Curve({ vehicle }: { readonly vehicle: Vehicle }) {
  const question = useMemo(() => ({ vehicle }), [vehicle]);
  const { parts, failed, again } = useWidths(question);
  const colours = tokens[useThemeName()];
  const { widths = none } = parts;
  const figure = useMemo(() => {
    const known = widths.filter(({ movements }) => movements !== null);
    return {
      data: [
        {
          type: 'scatter' as const,
          mode: 'lines+markers' as const,
          x: known.map(({ widthM }) => widthM),
          y: known.map(({ movements }) => movements),
          line: { color: colours.ink, width: 2, shape: 'hv' as const },
          marker: { color: colours.ink, size: 7 },
          hoverinfo: 'x+y' as const,
        },
      ],
      layout: {
        height: 260,
        margin: { l: 50, r: 10, t: 10, b: 46 },
        xaxis: { title: { text: t('widthHead') }, gridcolor: colours.rule, zeroline: false },
        yaxis: { title: { text: t('movementsHead') }, gridcolor: colours.rule, dtick: 1, rangemode: 'tozero' as const },
      },
      figures: {
        head: [t('widthHead'), t('movementsHead')],
        rows: widths.map(({ widthM, movements }) => [widthM.toFixed(1), movements ?? '–']),
      },
    };
  }, [widths, colours]);
  if (failed !== undefined) return <NotWorkedOut what={t('widths')} why={failed} onAgain={again} />;
  return (
    <>
      <p role="status">
        {parts.done ? widthsSentence(widths, mostMovements, vehicle) : t('widthsSoFar', { count: widths.length })}
      </p>
      <Suspense fallback={<Loading what={t('widths')} />}>
        <Chart {...figure} label={t('widths')} />
      </Suspense>
    </>
  );
}
