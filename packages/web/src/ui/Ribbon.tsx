import type { Drive, Mark } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { Standard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/core/marking/wording';
import { clockTime } from './format';
import { GradeSign } from './GradeSign';
import styles from './ribbon.module.css';

interface Props {
  readonly standard: Standard;
  readonly drive: Drive;
  /** The moment to draw up to, in milliseconds of the drive's clock. */
  readonly nowMs: number;
  readonly onMark?: (markId: string) => void;
  readonly onPin?: (pinId: string) => void;
  readonly chosen?: string | undefined;
}

const tickMin = 5;
const minuteMs = 60_000;

/** The drive as a line: time, sections, and the marks and pins in place. */
export function Ribbon({ standard, drive, nowMs, onMark, onPin, chosen }: Props) {
  const endMs = drive.ended?.atMs ?? nowMs;
  const lengthMs = Math.max(drive.ended ? endMs : standard.length.totalMin.value * minuteMs, endMs, minuteMs);
  const left = (ms: number) => `${Math.min(100, (100 * ms) / lengthMs)}%`;
  const ticks = Array.from({ length: Math.floor(lengthMs / minuteMs / tickMin) + 1 }, (_, i) => i * tickMin);
  return (
    <div className={styles.ribbon} role="group" aria-label="The drive so far">
      <div className={styles.marks}>
        {drive.marks.map((mark) => (
          <Token
            key={mark.id}
            left={left(mark.atMs)}
            label={markLabel(standard, mark)}
            chosen={mark.id === chosen}
            faded={mark.struck !== undefined}
            onClick={onMark && (() => onMark(mark.id))}
          >
            <GradeSign sign={rulesOf(standard).grades.get(mark.grade)?.sign ?? 'noted'} size={24} />
          </Token>
        ))}
        {drive.pins
          .filter((pin) => pin.state === 'unsettled')
          .map((pin) => (
            <Token
              key={pin.id}
              left={left(pin.atMs)}
              label={`Pin at ${clockTime(pin.atMs)}, not settled`}
              chosen={pin.id === chosen}
              onClick={onPin && (() => onPin(pin.id))}
            >
              <GradeSign sign="pin" size={24} />
            </Token>
          ))}
      </div>
      <div className={styles.line} aria-hidden="true">
        {drive.spans.map((span) => {
          const toMs = span.toMs ?? endMs;
          return (
            <div
              key={span.fromMs}
              className={`${styles.span} ${styles[span.section]}`}
              style={{ left: left(span.fromMs), width: `${(100 * (toMs - span.fromMs)) / lengthMs}%` }}
            >
              {span.section !== 'guided' && <span>{span.exercise ?? span.section}</span>}
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
            {min === ticks.at(-1) ? `${min} min` : min}
          </span>
        ))}
      </div>
    </div>
  );
}

function markLabel(standard: Standard, mark: Mark): string {
  const grade = standard.grades.find(({ code }) => code === mark.grade)?.name ?? mark.grade;
  return `${itemName(standard, mark.item)}, ${grade}, ${clockTime(mark.atMs)}${mark.struck ? ', struck' : ''}`;
}

interface TokenProps {
  readonly left: string;
  readonly label: string;
  readonly chosen: boolean;
  readonly faded?: boolean;
  readonly onClick?: (() => void) | undefined;
  readonly children: React.ReactNode;
}

function Token({ left, label, chosen, faded = false, onClick, children }: TokenProps) {
  const className = `${styles.token} ${chosen ? styles.chosen : ''} ${faded ? styles.faded : ''}`;
  return onClick ? (
    <button type="button" className={className} style={{ left }} aria-label={label} title={label} onClick={onClick}>
      {children}
    </button>
  ) : (
    <span className={className} style={{ left }} role="img" aria-label={label} title={label}>
      {children}
    </span>
  );
}
