import { t } from '@jasperwren/words/questions';
import AddRounded from '@mui/icons-material/AddRounded';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import type { KeyPoint } from '@jasperwren/core/safety-questions/question';
import form from '../../ui/form.module.css';
import { Rows, Section } from '../../ui/Page';
import styles from '../safety-questions.module.css';

interface Props {
  readonly points: readonly KeyPoint[];
  readonly onChange: (points: readonly KeyPoint[]) => void;
}

/** What an answer has to name, with the wordings that count. */
export function KeyPointFields({ points, onChange }: Props) {
  const setPoint = (at: number, change: Partial<KeyPoint>) =>
    onChange(points.map((point, i) => (i === at ? { ...point, ...change } : point)));
  return (
    <Section title={t('keyPoints')}>
      <Rows>
        {points.map((point, i) => (
          <li key={point.code} className={styles.point}>
            <div className={form.form}>
              <TextField
                size="small"
                label={t('keyPointI', { i: i + 1 })}
                value={point.text}
                onChange={(event) => setPoint(i, { text: event.target.value })}
                slotProps={{ htmlInput: { maxLength: 400 } }}
                multiline
              />
              <TextField
                size="small"
                label={t('acceptedWordingsOnePerLine')}
                helperText={t('everyWordOfALineIs')}
                value={point.says.join('\n')}
                onChange={(event) => setPoint(i, { says: event.target.value.split('\n') })}
                multiline
              />
            </div>
            <FormControlLabel
              control={<Checkbox checked={point.critical} onChange={(_, critical) => setPoint(i, { critical })} />}
              label={t('required2')}
            />
            <Button
              variant="text"
              aria-label={t('removeKeyPointI', { i: i + 1 })}
              disabled={points.length === 1}
              onClick={() => onChange(points.filter((other) => other !== point))}
            >
              {t('remove')}
            </Button>
          </li>
        ))}
      </Rows>
      <Button
        variant="text"
        startIcon={<AddRounded />}
        onClick={() => onChange([...points, { code: freeCode(points), text: '', critical: false, says: [] }])}
      >
        {t('addKeyPoint')}
      </Button>
    </Section>
  );
}

function freeCode(points: readonly KeyPoint[]): string {
  for (let i = points.length + 1; ; i++) {
    const code = `p${i}`;
    if (!points.some((point) => point.code === code)) return code;
  }
}
