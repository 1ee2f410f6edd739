import { surfaces, tableReactionS, type Road, type Surface } from '@jasperwren/motion/stopping/road';
import { inWhole, speedAfter, stoppingDistance, type Stop } from '@jasperwren/motion/stopping/stopping';
import { metresPerFoot, mpsPerKmh, mpsPerMph } from '@jasperwren/motion/stopping/units';
import { onSurface, surfaceName, t } from '@jasperwren/words/stopping';
import Slider from '@mui/material/Slider';
import { lazy, Suspense, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useThemeName } from '../../base/Theme';
import { tokens } from '../../base/tokens';
import { Choose } from '../../ui/Choose';
import { Page } from '../../ui/Page';
import { Loading } from '../../ui/states';
import styles from '../wheels.module.css';
import { Seeing } from './Seeing';
import { stoppingFigure } from './stopping-figure';

const Chart = lazy(() => import('../../charts/Chart'));

const units = { mph: { mps: mpsPerMph, most: 80 }, kmh: { mps: mpsPerKmh, most: 130 } } as const;
type Unit = keyof typeof units;
/** The steepest slope that is asked about, in percent. */
const steepest = 25;
const surfaceCodes = Object.keys(surfaces) as readonly Surface[];

/** How far a car goes before it stands, and what follows from that; the speed may come with the address. */
export default function StoppingPage() {
  const [params, setParams] = useSearchParams();
  const unit: Unit = params.get('unit') === 'kmh' ? 'kmh' : 'mph';
  const surface = surfaceCodes.find((code) => code === params.get('road')) ?? 'dry';
  const { mps, most } = units[unit];
  const number = (name: string, usual: number, least: number, top: number) => {
    const value = Number(params.get(name) ?? usual);
    return Number.isFinite(value) ? Math.min(top, Math.max(least, value)) : usual;
  };
  const speed = number('speed', unit === 'mph' ? 30 : 50, 5, most);
  const reactionS = number('reaction', tableReactionS, 0.3, 3);
  const clutchFirstS = number('clutch', 0, 0, 2);
  const slopePercent = number('slope', 0, -steepest, steepest);
  const driver = useMemo(() => ({ reactionS, clutchFirstS }), [reactionS, clutchFirstS]);
  const road = useMemo<Road>(() => ({ surface, slopePercent }), [surface, slopePercent]);
  const colours = tokens[useThemeName()];
  const figure = useMemo(
    () => stoppingFigure({ speed, unit, mps, driver, road }, colours),
    [speed, unit, mps, driver, road, colours],
  );
  const change = (changes: Readonly<Record<string, string>>) =>
    setParams((before) => new URLSearchParams({ ...Object.fromEntries(before), ...changes }), { replace: true });
  const stop = stoppingDistance(speed * mps, driver, road);
  const brakeFirst = stoppingDistance(speed * mps, { ...driver, clutchFirstS: 0 }, road);
  const words = (mpsAt: number) => t('speedIn', { speed: Math.round(mpsAt / mps), unit: t(unit) });
  const said = { speed: words(speed * mps), road: onSurface(surface) };
  const far = (metres: number) => inUnits(unit, (of) => Math.round(metres / of));
  const slopeSaid =
    slopePercent === 0 ? t('level') : t(slopePercent > 0 ? 'slopeUp' : 'slopeDown', { slope: Math.abs(slopePercent) });
  return (
    <Page over={<Link to="/yard">{t('yard')}</Link>} title={t('stopping')} sub={t('stoppingWhy')}>
      <p className={styles.answer} role="status">
        {stop
          ? t(clutchFirstS > 0 ? 'answerClutch' : 'answer', { ...said, ...partsOf(stop, unit) })
          : t('neverStands', said)}
      </p>
      {clutchFirstS > 0 && stop && brakeFirst && (
        <p>
          {t('clutchCosts', {
            clutch: far(stop.clutchM),
            speed: words(speedAfter(speed * mps, brakeFirst.totalM, driver, road)),
          })}
        </p>
      )}
      <div className={styles.columns}>
        <Suspense fallback={<Loading what={t('chart')} />}>
          <div>
            <Chart {...figure} label={t('chart')} />
          </div>
        </Suspense>
        <div className={styles.sliders}>
          <Amount
            label={t('speed')}
            value={speed}
            least={5}
            most={most}
            step={1}
            words={words(speed * mps)}
            onChange={(value) => change({ speed: value })}
          />
          <Amount
            label={t('reaction')}
            value={reactionS}
            least={0.3}
            most={3}
            step={0.01}
            words={`${reactionS.toFixed(2)} s`}
            onChange={(value) => change({ reaction: value })}
          />
          <Amount
            label={t('clutchFirst')}
            value={clutchFirstS}
            least={0}
            most={2}
            step={0.1}
            words={`${clutchFirstS} s`}
            onChange={(value) => change({ clutch: value })}
          />
          <Amount
            label={t('slope')}
            value={slopePercent}
            least={-steepest}
            most={steepest}
            step={1}
            words={slopeSaid}
            onChange={(value) => change({ slope: value })}
          />
          <div className={styles.fields}>
            <Choose
              label={t('unit')}
              value={unit}
              options={(Object.keys(units) as Unit[]).map((one) => [one, t(one)])}
              onChoose={(value) => change({ unit: value, speed: value === 'mph' ? '30' : '50' })}
            />
            <Choose
              label={t('surface')}
              value={surface}
              options={surfaceCodes.map((code) => [code, surfaceName(code)])}
              onChoose={(value) => change({ road: value })}
            />
          </div>
        </div>
      </div>
      <Seeing mps={speed * mps} words={words} far={far} ofUnit={mps} unitName={t(unit)} driver={driver} road={road} />
      <p className="muted">{t('source')}</p>
      <p className="muted">{t('caution')}</p>
    </Page>
  );
}

/** A distance in metres, and in feet where speeds are in miles an hour. */
function inUnits(unit: Unit, amount: (metresPerUnit: number) => number): string {
  const metres = amount(1);
  return unit === 'mph' ? t('inBoth', { metres, feet: amount(metresPerFoot) }) : t('inMetres', { metres });
}

/** The parts of a stop in whole units, whose sum is the total beside them. */
function partsOf(stop: Stop, unit: Unit) {
  const part = (key: keyof ReturnType<typeof inWhole>) => inUnits(unit, (of) => inWhole(stop, of)[key]);
  return { total: part('total'), thinking: part('thinking'), clutch: part('clutch'), braking: part('braking') };
}

interface AmountProps {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly words: string;
  readonly onChange: (value: string) => void;
}

/** An amount on a slider, with its words beside. */
function Amount({ label, value, least, most, step, words, onChange }: AmountProps) {
  return (
    <div>
      <div className={styles.amount}>
        <span>{label}</span>
        <strong>{words}</strong>
      </div>
      <Slider
        size="small"
        aria-label={label}
        min={least}
        max={most}
        step={step}
        value={value}
        getAriaValueText={() => words}
        onChange={(_, next) => onChange(String(next))}
      />
    </div>
  );
}
