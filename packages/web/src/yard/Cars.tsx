import { t } from '@jasperwren/words/yard-pages';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { api } from '../base/api';
import { useSignedIn } from '../base/signed-in';
import { AskFirst } from '../ui/AskFirst';
import { failureOf } from '../ui/failure';
import { longDate } from '../ui/format';
import { Rows, Section } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import styles from './yard-pages.module.css';

/** The cars whose sensors may send; a lead lets them. */
export function Cars() {
  const { account } = useSignedIn();
  const { data: cars, ...asked } = api.useYardCarsQuery();
  const failed = failureOf(asked);
  const [addCar, added] = api.useAddYardCarMutation();
  const [dropCar] = api.useDropYardCarMutation();
  const [name, setName] = useState('');
  const lead = account.role === 'lead';
  return (
    <Section title={t('cars')}>
      <p className="muted">{t('carsWhy')}</p>
      {failed && <Failed {...failed} />}
      {!failed && !cars && <Loading what={t('cars')} />}
      {cars?.length === 0 && <p className="muted">{t('noCars')}</p>}
      {cars && (
        <Rows>
          {cars.map((car) => (
            <li key={car.id} className={styles.car}>
              <span>
                {car.name} <span className="muted">{longDate(car.addedAt)}</span>
              </span>
              {lead && (
                <AskFirst
                  action={t('removeCar', { name: car.name })}
                  question={t('removeCarAsk', { name: car.name })}
                  go={() => dropCar({ carId: car.id })}
                >
                  {t('removeCarMeans')}
                </AskFirst>
              )}
            </li>
          ))}
        </Rows>
      )}
      {added.data && cars?.some(({ id }) => id === added.data?.id) && (
        <p role="status">
          {t('tokenOnce', { name: added.data.name })} <code className={styles.token}>{added.data.token}</code>
        </p>
      )}
      {lead && (
        <form
          className={styles.addCar}
          onSubmit={(event) => {
            event.preventDefault();
            void addCar({ body: { name } })
              .unwrap()
              .then(() => setName(''))
              .catch(() => undefined);
          }}
        >
          <TextField
            size="small"
            label={t('carName')}
            value={name}
            onChange={(event) => setName(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
          <Button type="submit" variant="outlined" disabled={name.trim() === '' || added.isLoading}>
            {t('addCar')}
          </Button>
        </form>
      )}
      {added.error && <p role="alert">{added.error.message}</p>}
    </Section>
  );
}
