import { t } from '@jasperwren/words/notes';
import Button from '@mui/material/Button';
import dayjs from 'dayjs';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { shortLessonTime } from '../../ui/format';

/** After the talk-through: the lesson that comes next, or where it is planned. */
export function NextLesson({ learnerId }: { readonly learnerId: string }) {
  const { data } = api.useLessonsQuery({ learnerId });
  const next = data?.lessons
    .filter(({ start }) => dayjs(start).isAfter(dayjs()))
    .sort((a, b) => a.start.localeCompare(b.start))[0];
  return (
    <Button variant="outlined" component={Link} to={`/learners/${learnerId}/plan`}>
      {next ? t('nextLesson', { when: shortLessonTime(next.start) }) : t('planNextLesson')}
    </Button>
  );
}
