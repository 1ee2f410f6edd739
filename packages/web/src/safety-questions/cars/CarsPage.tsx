import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import {
  controlCodes,
  controlNames,
  describeControl,
  type ControlCode,
} from '@jasperwren/core/safety-questions/vehicle';
import { useState } from 'react';
import { Link } from 'react-router';
import type { VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/states';
import styles from '../safety-questions.module.css';
import { Schematic } from '../drawings/Schematic';
import { vehiclesOf } from '../drill/source';

/** The cars, and where everything is in each. */
export default function CarsPage() {
  const { data, ...asked } = api.useChecksQuery();
  const failed = failureOf(asked);
  return (
    <Page
      title={t('cars')}
      over={<Link to="/checks">{t('questions')}</Link>}
      sub={t('whereEachControlIsAndHow')}
      actions={
        <Button variant="contained" component={Link} to="/checks/cars/new">
          {t('addCar')}
        </Button>
      }
    >
      {failed && <Failed {...failed} />}
      {!failed && !data && <Loading what={t('cars2')} />}
      {data && (
        <div className={styles.cars}>
          {vehiclesOf(data).map((vehicle) => (
            <Profile key={vehicle.id} vehicle={vehicle} />
          ))}
        </div>
      )}
    </Page>
  );
}

function Profile({ vehicle }: { readonly vehicle: VehicleProfile }) {
  const [chosen, setChosen] = useState<ControlCode>('headlights');
  return (
    <section className={styles.profile} aria-label={vehicle.name}>
      <h3>{vehicle.name}</h3>
      <p className="muted">
        {t('transmissionWheelOnTheWheelSide', { transmission: vehicle.transmission, wheelSide: vehicle.wheelSide })}{' '}
        <Link to={`/checks/cars/${vehicle.id}/edit`} aria-label={t('editVehicle', { vehicle: vehicle.name })}>
          {t('edit')}
        </Link>
      </p>
      <Schematic wheelSide={vehicle.wheelSide} shown={[vehicle.controls[chosen].place]} />
      <dl className={styles.controls}>
        {controlCodes.map((code) => (
          <ControlLine key={code} vehicle={vehicle} code={code} chosen={code === chosen} onChoose={setChosen} />
        ))}
      </dl>
    </section>
  );
}

function ControlLine({
  vehicle,
  code,
  chosen,
  onChoose,
}: {
  readonly vehicle: VehicleProfile;
  readonly code: ControlCode;
  readonly chosen: boolean;
  readonly onChoose: (code: ControlCode) => void;
}) {
  return (
    <>
      <dt>
        <Button
          variant="text"
          size="small"
          aria-pressed={chosen}
          sx={{ p: 0, minHeight: 24, fontWeight: chosen ? 700 : 400, textAlign: 'left', justifyContent: 'flex-start' }}
          onClick={() => onChoose(code)}
        >
          {controlNames[code]}
        </Button>
      </dt>
      <dd>{describeControl(vehicle, code)}</dd>
    </>
  );
}
