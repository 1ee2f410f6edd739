import { ruleFeatures, type RulePart, type Until } from '@jasperwren/motion/sight/rule-of-thumb';
import { t } from '@jasperwren/words/motion';
import { edgeName, ruleFeatureName } from '@jasperwren/words/motion-sentences';
import { percent } from '@jasperwren/words/lists';
import { Choose } from '../../ui/Choose';
import { NumberField } from '../NumberField';
import styles from '../wheels.module.css';

interface Props {
  readonly part: RulePart;
  /** What the ground has that something can be level with. */
  readonly things: readonly string[];
  readonly onChange: (part: RulePart) => void;
}

const locks = [
  ['1', t('fullLeft')],
  ['0.5', t('ruleHalfLeft')],
  ['0', t('ruleStraight')],
  ['-0.5', t('ruleHalfRight')],
  ['-1', t('fullRight')],
] as const;

/** One part of a rule of thumb: which way, how the wheel is, and until when. */
export function PartFields({ part, things, onChange }: Props) {
  const { until } = part;
  const value = String(part.lock);
  const kinds: readonly (readonly [Until['kind'], string])[] = [
    ...(things.length > 0 ? [['level', t('ruleLevel')] as const] : []),
    ['in-line', t('in-line')],
    ['in-place', t('in-place')],
    ['metres', t('ruleMetres')],
  ];
  const begin = (kind: Until['kind']): Until =>
    kind === 'level'
      ? { kind, feature: 'shoulder', thing: things[0]! }
      : kind === 'metres'
        ? { kind, metres: 1 }
        : { kind };
  return (
    <div className={styles.part}>
      <Choose
        label={t('ruleGo')}
        value={part.back ? 'back' : 'forward'}
        options={[
          ['forward', t('ruleForward')],
          ['back', t('ruleBackwards')],
        ]}
        onChoose={(value) => onChange({ ...part, back: value === 'back' })}
      />
      <Choose
        label={t('ruleWheel')}
        value={value}
        options={locks.some(([lock]) => lock === value) ? locks : [...locks, [value, percent(Math.abs(part.lock))]]}
        onChoose={(value) => onChange({ ...part, lock: Number(value) })}
      />
      <Choose
        label={t('ruleUntil')}
        value={until.kind}
        options={kinds}
        onChoose={(kind) => onChange({ ...part, until: begin(kind) })}
      />
      {until.kind === 'level' && (
        <>
          <Choose
            label={t('ruleWhat')}
            value={until.feature}
            options={ruleFeatures.map((one) => [one, ruleFeatureName(one)])}
            onChoose={(feature) => onChange({ ...part, until: { ...until, feature } })}
          />
          <Choose
            label={t('ruleThing')}
            value={until.thing}
            options={things.map((id) => [id, edgeName(id)])}
            onChoose={(thing) => onChange({ ...part, until: { ...until, thing } })}
          />
        </>
      )}
      {until.kind === 'metres' && (
        <NumberField
          label={t('ruleDistance')}
          value={until.metres}
          step={0.1}
          onNumber={(metres) => {
            if (metres !== undefined && metres >= 0 && metres <= 30) onChange({ ...part, until: { ...until, metres } });
          }}
        />
      )}
    </div>
  );
}
