import { t } from '@jasperwren/words/common';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Empty } from './states';

/** A school without learners: what one is needed for, and the way to the first. */
export function NoLearners({ children }: { readonly children: ReactNode }) {
  return (
    <Empty
      action={
        <Button variant="contained" component={Link} to="/learners/new">
          {t('addLearner')}
        </Button>
      }
    >
      {children}
    </Empty>
  );
}
