import { commentaryKinds, compareCommentary, unmapped, type Named } from '@jasperwren/core/routes/commentary';
import type { Place } from '@jasperwren/roads/geometry';
import { joinWords } from '@jasperwren/words/lists';
import { commentaryWords, t } from '@jasperwren/words/rehearsal';
import { aheadWords } from '@jasperwren/words/roads/distances';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Caption } from './Caption';
import type { ModeProps } from './mode';
import styles from './rehearsal.module.css';

interface Props extends ModeProps {
  readonly notes: readonly (Place & { readonly text: string })[];
}

const noScore = { right: 0, asked: 0 };

/** A learner names what to look out for; afterwards it is held against the route. */
export function CommentaryMode(props: Props) {
  const { metres, playing, setPlaying } = props;
  const [named, setNamed] = useState<readonly Named[]>([]);
  const [from] = useState(metres);
  const [comparing, setComparing] = useState(false);
  return (
    <>
      <Caption score={noScore}>
        <p>{t('nameWhatYouSee')}</p>
      </Caption>
      <div className={styles.names}>
        {commentaryKinds.map((kind) => (
          <Button
            key={kind}
            variant="outlined"
            disabled={!playing}
            onClick={() => setNamed([...named, { kind, metres }])}
          >
            {commentaryWords(kind)}
          </Button>
        ))}
        <Button
          variant="contained"
          disabled={metres === 0}
          onClick={() => {
            setComparing(!comparing);
            setPlaying(comparing);
          }}
        >
          {comparing ? t('goOn') : t('compareWithRoute')}
        </Button>
      </div>
      {comparing && <Comparison {...props} named={named} from={Math.min(from, metres)} />}
    </>
  );
}

interface ComparisonProps extends Props {
  readonly named: readonly Named[];
  /** Metres from the start of the route at which the run began. */
  readonly from: number;
}

function Comparison({ reading, units, metres, notes, named, from }: ComparisonProps) {
  const { toName, besides, notes: onRoute } = compareCommentary(reading, named, notes, { from, to: metres });
  const namesOf = (kinds: readonly Named[]) =>
    joinWords([...new Set(kinds.map(({ kind }) => commentaryWords(kind).toLowerCase()))]);
  const elsewhere = besides.filter(({ kind }) => !unmapped.includes(kind));
  const seen = besides.filter(({ kind }) => unmapped.includes(kind));
  const inTime = toName.filter(({ before }) => before !== undefined).length;
  return (
    <section className={styles.comparison}>
      {toName.length === 0 ? (
        <p>{t('nothingToName')}</p>
      ) : (
        <>
          <h2>{t('namedOf', { named: inTime, count: toName.length })}</h2>
          <table>
            <thead>
              <tr>
                <th scope="col">{t('what')}</th>
                <th scope="col">{t('where')}</th>
                <th scope="col">{t('namedAt')}</th>
              </tr>
            </thead>
            <tbody>
              {toName.map(({ kind, metres: at, before }) => (
                <tr key={`${kind} ${at}`}>
                  <td>{commentaryWords(kind)}</td>
                  <td>{aheadWords(at, units)}</td>
                  <td>
                    {before === undefined ? (
                      <b>{t('notNamed')}</b>
                    ) : (
                      t('before', { distance: aheadWords(before, units) })
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {elsewhere.length > 0 && <p>{t('namedElsewhere', { list: namesOf(elsewhere) })}</p>}
      {seen.length > 0 && <p>{t('alsoNamed', { list: namesOf(seen) })}</p>}
      {onRoute.length > 0 && (
        <>
          <h3>{t('notesOnRoute')}</h3>
          <ul>
            {onRoute.map(({ text, metres: at }) => (
              <li key={`${text} ${at}`}>
                {aheadWords(at, units)}: {text}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
