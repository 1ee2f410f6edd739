import {
  mpsPerKmh,
  mpsPerMph,
  speedAfter,
  stoppingDistance,
  surfaces,
  tableReactionS,
  type Surface,
} from '@jasperwren/motion/stopping/stopping';
import { surfaceName, t } from '@jasperwren/words/stopping';
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
  const driver = useMemo(() => ({ reactionS, clutchFirstS }), [reactionS, clutchFirstS]);
  const colours = tokens[useThemeName()];
  const figure = useMemo(
    () => stoppingFigure({ speed, unit, mps, driver, surface }, colours),
    [speed, unit, mps, driver, surface, colours],
  );
  const change = (changes: Readonly<Record<string, string>>) =>
    setParams((before) => new URLSearchParams({ ...Object.fromEntries(before), ...changes }), { replace: true });
  const stop = stoppingDistance(speed * mps, driver, surface);
  const brakeFirst = stoppingDistance(speed * mps, { ...driver, clutchFirstS: 0 }, surface);
  const words = (mpsAt: number) => t('speedIn', { speed: Math.round(mpsAt / mps), unit: t(unit) });
  const parts = {
    speed: words(speed * mps),
    surface: surfaceName(surface),
    total: stop.totalM.toFixed(0),
    thinking: stop.thinkingM.toFixed(0),
    braking: stop.brakingM.toFixed(0),
  };
  return (
    <Page over={<Link to="/yard">{t('yard')}</Link>} title={t('stopping')} sub={t('stoppingWhy')}>
      <p className={styles.answer} role="status">
        {clutchFirstS > 0 ? t('answerClutch', { ...parts, clutch: stop.clutchM.toFixed(0) }) : t('answer', parts)}
      </p>
      {clutchFirstS > 0 && (
        <p>
          {t('clutchCosts', {
            clutch: stop.clutchM.toFixed(1),
            speed: words(speedAfter(speed * mps, brakeFirst.totalM, driver, surface)),
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
            words={`${reactionS} s`}
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
      <Seeing mps={speed * mps} words={words} ofUnit={mps} unitName={t(unit)} driver={driver} surface={surface} />
      <p className="muted">{t('source')}</p>
      <p className="muted">{t('caution')}</p>
    </Page>
  );
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
