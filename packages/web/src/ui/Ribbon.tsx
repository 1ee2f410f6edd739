import { exerciseName } from '@jasperwren/core/marking/exercise';
import { sectionName } from '@jasperwren/words/names';
import { t } from '@jasperwren/words/common';
import { helpName, t as help } from '@jasperwren/words/help-given';
import { helpIn, type Drive, type HelpKind } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { memo, useCallback, useMemo, useState, type RefCallback } from 'react';
import { clockTime } from './format';
import { GradeSign, type Shape } from './GradeSign';
import styles from './ribbon.module.css';
import { spread } from './spread';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  /** The moment to draw up to, in milliseconds of the drive's clock. */
  readonly nowMs: number;
  readonly onMark?: (markId: string) => void;
  readonly onPin?: (pinId: string) => void;
  readonly onHelp?: (helpId: string) => void;
  readonly chosen?: string | undefined;
}

const tickMin = 5;
/** As wide as a token: marks of the same moment stand beside each other, so that each can be touched. */
const tokenGapPx = 28;
const minuteMs = 60_000;

/** The drive as a line: time, sections, and the marks and pins in place. */
export function Ribbon({ standard, drive, nowMs, onMark, onPin, onHelp, chosen }: Props) {
  const endMs = drive.ended?.atMs ?? nowMs;
  const lengthMs = Math.max(drive.ended ? endMs : standard.length.totalMin.value * minuteMs, endMs, minuteMs);
  const left = (ms: number) => `${Math.min(100, (100 * ms) / lengthMs)}%`;
  const ticks = Array.from({ length: Math.floor(lengthMs / minuteMs / tickMin) + 1 }, (_, i) => i * tickMin);
  return (
    <div className={styles.ribbon} role="group" aria-label={t('theMockTestSoFar')}>
      <Tokens
        standard={standard}
        drive={drive}
        lengthMs={lengthMs}
        onMark={onMark}
        onPin={onPin}
        onHelp={onHelp}
        chosen={chosen}
      />
      <div className={styles.line} aria-hidden="true">
        {drive.spans.map((span) => {
          const toMs = span.toMs ?? endMs;
          return (
            <div
              key={span.fromMs}
              className={`${styles.span} ${styles[span.section]}`}
              style={{ left: left(span.fromMs), width: `${(100 * (toMs - span.fromMs)) / lengthMs}%` }}
            >
              {span.section !== 'guided' && (
                <span>
                  {span.exercise === undefined ? sectionName(span.section) : exerciseName(standard, span.exercise)}
                </span>
              )}
            </div>
          );
        })}
        {drive.pauses.map((pause) => (
          <div
            key={pause.fromMs}
            className={styles.pause}
            style={{ left: left(pause.fromMs), width: `${(100 * ((pause.toMs ?? endMs) - pause.fromMs)) / lengthMs}%` }}
          />
        ))}
        {!drive.ended && <div className={styles.now} style={{ left: left(nowMs) }} />}
      </div>
      <div className={styles.ticks} aria-hidden="true">
        {ticks.map((min) => (
          <span key={min} style={{ left: left(min * minuteMs) }}>
            {min === ticks.at(-1) ? t('minMin', { min }) : min}
          </span>
        ))}
      </div>
    </div>
  );
}

type TokensProps = Omit<Props, 'nowMs' | 'onMark' | 'onPin' | 'onHelp'> & {
  readonly lengthMs: number;
  readonly onMark: Props['onMark'] | undefined;
  readonly onPin: Props['onPin'] | undefined;
  readonly onHelp: Props['onHelp'] | undefined;
};

/** Marks and pins in place; they do not move with the clock and are not drawn with it. */
const Tokens = memo(function Tokens({ standard, drive, lengthMs, onMark, onPin, onHelp, chosen }: TokensProps) {
  const [strip, widthPx] = useWidth();
  const tokens = useMemo(() => tokensOf(standard, drive), [standard, drive]);
  const places = spread(
    tokens.map(({ atMs }) => (widthPx * Math.min(atMs, lengthMs)) / lengthMs),
    tokenGapPx,
    widthPx,
  );
  return (
    <div className={styles.marks} ref={strip}>
      {tokens.map(({ id, ...token }, i) => (
        <Token
          key={id}
          id={id}
          standard={standard}
          leftPx={places[i] ?? 0}
          {...token}
          chosen={id === chosen}
          onChoose={token.sign === 'pin' ? onPin : isHelp(token.sign) ? onHelp : onMark}
        />
      ))}
    </div>
  );
});

interface TokenData {
  readonly id: string;
  readonly atMs: number;
  readonly sign: Shape;
  readonly item?: string;
  readonly grade?: string;
  readonly struck?: boolean;
}

const isHelp = (sign: Shape): sign is HelpKind => sign === 'prompt' || sign === 'intervention';

/** Everything that stands on the ribbon, in the order of its moments. */
function tokensOf(standard: EffectiveStandard, drive: Drive): readonly TokenData[] {
  const { grades } = rulesOf(standard);
  const marks = drive.marks
    .filter((mark) => !mark.struck?.undo)
    .map(({ id, atMs, item, grade, struck }) => ({
      id,
      atMs,
      item,
      grade,
      sign: grades.get(grade)?.sign ?? ('noted' as const),
      struck: struck !== undefined,
    }));
  const pins = drive.pins
    .filter((pin) => pin.state === 'unsettled')
    .map(({ id, atMs }) => ({ id, atMs, sign: 'pin' as const }));
  const helped = helpIn(drive).map(({ id, atMs, kind }) => ({ id, atMs, sign: kind }));
  return [...marks, ...pins, ...helped].sort((a, b) => a.atMs - b.atMs);
}

function labelOf(
  standard: EffectiveStandard,
  { sign, atMs, item, grade, struck = false }: Omit<TokenData, 'id'>,
): string {
  const time = clockTime(atMs);
  if (isHelp(sign)) return help('helpAtTime', { help: helpName(sign), time });
  if (item === undefined || grade === undefined) return t('pinAtTimeNotNamed', { time });
  const name = rulesOf(standard).grades.get(grade)?.name ?? grade;
  return `${itemName(standard, item)}, ${name}, ${time}${struck ? t('removed') : ''}`;
}

/** The width of an element as it changes, in pixels. */
function useWidth(): [RefCallback<HTMLElement>, number] {
  const [widthPx, setWidthPx] = useState(0);
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return;
    const observer = new ResizeObserver(() => setWidthPx(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, widthPx];
}

interface TokenProps extends TokenData {
  readonly standard: EffectiveStandard;
  readonly leftPx: number;
  readonly chosen: boolean;
  readonly onChoose: ((id: string) => void) | undefined;
}

const Token = memo(function Token(props: TokenProps) {
  const { id, standard, atMs, item, grade, struck = false, sign, leftPx, chosen, onChoose } = props;
  // A new mark moves the others aside; what they are called stays.
  const label = useMemo(
    () =>
      labelOf(standard, {
        sign,
        atMs,
        struck,
        ...(item !== undefined && { item }),
        ...(grade !== undefined && { grade }),
      }),
    [standard, sign, atMs, item, grade, struck],
  );
  const className = `${styles.token} ${chosen ? styles.chosen : ''} ${struck ? styles.faded : ''}`;
  const shared = {
    className,
    style: { left: leftPx - tokenGapPx / 2 },
    'aria-label': label,
    title: label,
  };
  return onChoose ? (
    <button type="button" {...shared} onClick={() => onChoose(id)}>
      <GradeSign sign={sign} size={24} />
    </button>
  ) : (
    <span role="img" {...shared}>
      <GradeSign sign={sign} size={24} />
    </span>
  );
});
