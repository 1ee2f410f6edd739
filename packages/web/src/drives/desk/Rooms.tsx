import type { Mark } from '@jasperwren/core/drive/drive';
import { tightestFor } from '@jasperwren/core/marking/room';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import { freeSentence, roomSentence, soFarGlance, soFarSentence } from '@jasperwren/words/marking/room';
import styles from './rooms.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly verdict: Verdict;
}

/** What the last mark did to the tightest limit it draws on, whatever its scope. */
export function RoomOfMark({ standard, verdict, mark }: Props & { readonly mark: Mark }) {
  const room = tightestFor(standard, verdict, mark);
  const free = verdict.free.some(({ id }) => id === mark.id);
  if (!room && !free) return null;
  return (
    <span className={styles.room} data-crossed={room !== undefined && room.left < 0}>
      {room ? roomSentence(standard, room) : freeSentence()}
    </span>
  );
}

/** The result as it stands, while more may come. */
export function SoFar({ standard, verdict, glance = false }: Props & { readonly glance?: boolean }) {
  const sentence = (glance ? soFarGlance : soFarSentence)(standard, verdict);
  return sentence === undefined ? null : (
    <span className={styles.soFar} data-outcome={verdict.outcome}>
      {sentence}
    </span>
  );
}
