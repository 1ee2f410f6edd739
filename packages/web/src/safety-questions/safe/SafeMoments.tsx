import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import { showTasks } from '@jasperwren/core/safety-questions/bank/show';
import { generateScenario } from '@jasperwren/core/safety-questions/safe-moment/generate';
import type { MomentVerdict } from '@jasperwren/core/safety-questions/safe-moment/judge-moment';
import type { Scenario } from '@jasperwren/core/safety-questions/safe-moment/road';
import { writtenScenarios } from '@jasperwren/core/safety-questions/safe-moment/written';
import { useCallback, useState } from 'react';
import { Rows, Section } from '../../ui/Page';
import styles from './safe.module.css';
import { SafeMoment } from './SafeMoment';

const levelWords = { 1: t('everythingInView'), 2: t('behindOnlyInTheMirror'), 3: t('severalThingsAtOnce') } as const;
const levels = [1, 2, 3] as const;

/** Stretches to choose from: written ones, and new ones without end. */
export function SafeMoments() {
  const [under, setUnder] = useState<Scenario>();
  const [rounds, setRounds] = useState(0);
  const [good, setGood] = useState<readonly string[]>([]);
  const judged = useCallback(
    ({ outcome }: MomentVerdict) => {
      if (outcome === 'good' && under) setGood((before) => [...before, under.id]);
    },
    [under],
  );
  const [firstSeed] = useState(() => Date.now() % 1_000_000);
  const fresh = (level: Scenario['level']) => {
    setRounds(rounds + 1);
    setUnder(generateScenario(firstSeed + rounds, level).scenario);
  };
  const next = () => {
    const place = writtenScenarios.findIndex(({ id }) => id === under?.id);
    const written = place >= 0 ? writtenScenarios[place + 1] : undefined;
    if (written) {
      setRounds(rounds + 1);
      setUnder(written);
    } else fresh(under?.level ?? 1);
  };
  if (under)
    return (
      <SafeMoment
        key={`${under.id}-${rounds}`}
        scenario={under}
        task={showTasks[rounds % showTasks.length]!}
        onJudged={judged}
        onNext={next}
        onStop={() => setUnder(undefined)}
      />
    );
  return (
    <>
      <Section title={t('aNewRoadEachTime')}>
        <div className={styles.buttons}>
          {levels.map((level) => (
            <Button key={level} variant={level === 1 ? 'contained' : 'outlined'} onClick={() => fresh(level)}>
              {t('levelLevelLevelWords', { level, levelWords: levelWords[level] })}
            </Button>
          ))}
        </div>
      </Section>
      <Section title={t('roadsToLearnFrom')}>
        <Rows>
          {writtenScenarios.map((scenario) => (
            <li key={scenario.id} className={styles.stretch}>
              <span>
                {scenario.title} <span className="muted">{t('levelLevel', { level: scenario.level })}</span>
              </span>
              <span>{good.includes(scenario.id) ? t('doneWell') : ''}</span>
              <Button
                variant="text"
                aria-label={t('driveTitle', { title: scenario.title })}
                onClick={() => setUnder(scenario)}
              >
                {t('start')}
              </Button>
            </li>
          ))}
        </Rows>
      </Section>
      <p className={styles.caution}>{t('thisIsAPictureOnThe')}</p>
    </>
  );
}
