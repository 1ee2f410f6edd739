import { kmhAt, limitAt, type HeardCall } from '@jasperwren/core/routes/listening';
import type { RouteReading } from '@jasperwren/core/routes/read-route';
import { t } from '@jasperwren/words/rehearsal';
import { aheadWords, type Units } from '@jasperwren/words/roads/distances';
import RoundaboutLeft from '@mui/icons-material/RoundaboutLeft';
import RoundaboutRight from '@mui/icons-material/RoundaboutRight';
import Straight from '@mui/icons-material/Straight';
import TurnLeft from '@mui/icons-material/TurnLeft';
import TurnRight from '@mui/icons-material/TurnRight';
import { limitWords } from './limit-words';
import styles from './rehearsal.module.css';

interface Props {
  readonly heard: readonly HeardCall[];
  readonly reading: RouteReading;
  readonly metres: number;
  readonly units: Units;
}

/** What a sat nav shows on the legs that are driven by one: the next turn with its countdown, speed and limit. */
export function SatNav({ heard, reading: { legs, pace, limits }, metres, units }: Props) {
  const leg = legs.find(({ from, to }) => metres >= from && metres < to);
  if (leg?.mode !== 'device') return null;
  const next = heard.find(({ call, speaker }) => speaker === 'device' && call.decision.metres > metres);
  const limit = limitAt(limits, metres);
  return (
    <section className={styles.satNav} aria-label={t('satNav')}>
      {next && (
        <b>
          <Arrow heard={next} />
          {aheadWords(next.call.decision.metres - metres, units)}
        </b>
      )}
      <span>{limitWords(kmhAt(pace, metres), units)}</span>
      {limit !== undefined && <span className="muted">{t('limitSign', { limit: limitWords(limit, units) })}</span>}
    </section>
  );
}

function Arrow({ heard: { call } }: { readonly heard: HeardCall }) {
  const { decision } = call;
  const turn = 'turn' in decision ? decision.turn : 'ahead';
  const ring = decision.kind === 'roundabout' || decision.kind === 'mini';
  const [toLeft, toRight] = ring ? [RoundaboutLeft, RoundaboutRight] : [TurnLeft, TurnRight];
  const Icon = turn === 'left' ? toLeft : turn === 'right' ? toRight : Straight;
  return <Icon aria-hidden="true" />;
}
