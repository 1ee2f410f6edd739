import { profileProblem } from '@jasperwren/words/question-problems';
import { t } from '@jasperwren/words/questions';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { VehicleInput } from '@jasperwren/contract/vehicles';
import {
  controlCodes,
  controlKinds,
  controlNames,
  controlPlaces,
  placeNames,
  problemsOfVehicle,
  type Control,
  type ControlCode,
  type VehicleProfile,
} from '@jasperwren/core/safety-questions/vehicle';
import { shippedVehicles } from '@jasperwren/core/safety-questions/vehicles';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import form from '../../ui/form.module.css';
import { Page, Rows, Section } from '../../ui/Page';
import { SaveBar } from '../../ui/SaveBar';
import { Failed, Loading } from '../../ui/states';
import { Unsaved } from '../../ui/Unsaved';
import { useUnsaved } from '../../ui/use-unsaved';
import styles from '../safety-questions.module.css';
import { Schematic } from '../drawings/Schematic';
import { vehiclesOf } from '../drill/source';

export default function EditCarPage() {
  const { vehicleId } = useParams();
  const { data, ...asked } = api.useChecksQuery();
  const failed = failureOf(asked);
  if (failed) return <Failed {...failed} />;
  if (!data) return <Loading what={t('car2')} />;
  const vehicle =
    vehicleId === undefined
      ? { ...shippedVehicles[0]!, id: '', name: '' }
      : vehiclesOf(data).find(({ id }) => id === vehicleId);
  return vehicle ? <Editor vehicle={vehicle} isNew={vehicleId === undefined} /> : <p>{t('carNotFoundItMayHave')}</p>;
}

/** A car, control by control; the picture shows where the one being edited is. */
function Editor({ vehicle: initial, isNew }: { readonly vehicle: VehicleProfile; readonly isNew: boolean }) {
  const navigate = useNavigate();
  const [vehicle, setVehicle] = useState(initial);
  const [at, setAt] = useState<ControlCode>('headlights');
  const [tried, setTried] = useState(false);
  const [add, adding] = api.useAddVehicleMutation();
  const [edit, editing] = api.useEditVehicleMutation();
  const { isLoading, error } = isNew ? adding : editing;
  const { blocker, letGo } = useUnsaved(vehicle !== initial);
  const problems = problemsOfVehicle(vehicle);
  const set = (change: Partial<VehicleProfile>) => setVehicle({ ...vehicle, ...change });
  const setControl = (code: ControlCode, change: Partial<Control>) =>
    set({ controls: { ...vehicle.controls, [code]: { ...vehicle.controls[code], ...change } } });
  const save = async () => {
    setTried(true);
    if (problems.length > 0) return;
    const { name, wheelSide, transmission, controls } = vehicle;
    const input: VehicleInput = {
      name,
      wheelSide,
      transmission,
      controls: structuredClone<VehicleInput['controls']>(controls),
    };
    const { data } = await (isNew ? add({ body: input }) : edit({ vehicleId: vehicle.id, body: input }));
    if (!data) return;
    letGo();
    void navigate('/checks/cars', { replace: true });
  };
  return (
    <Page
      title={isNew ? t('newCar') : t('editInitial', { initial: initial.name })}
      over={<Link to="/checks/cars">{t('cars')}</Link>}
      sub={t('sitInTheCarAndGo')}
    >
      <Unsaved blocker={blocker} what={t('wrote')} />
      <div className={styles.two}>
        <div className={styles.form}>
          <TextField
            label={t('name')}
            value={vehicle.name}
            onChange={(event) => set({ name: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 80 } }}
          />
          <div className={form.pair}>
            <TextField
              select
              label={t('wheel')}
              value={vehicle.wheelSide}
              onChange={(event) => set({ wheelSide: event.target.value as VehicleProfile['wheelSide'] })}
            >
              <MenuItem value="right">{t('onTheRight')}</MenuItem>
              <MenuItem value="left">{t('onTheLeft')}</MenuItem>
            </TextField>
            <TextField
              select
              label={t('gearbox')}
              value={vehicle.transmission}
              onChange={(event) => set({ transmission: event.target.value as VehicleProfile['transmission'] })}
            >
              <MenuItem value="manual">{t('manual')}</MenuItem>
              <MenuItem value="automatic">{t('automatic')}</MenuItem>
            </TextField>
          </div>
        </div>
        <div>
          <p className="muted">{t('tapWhereTheControlNamesIs', { controlNames: controlNames[at] })}</p>
          <Schematic
            wheelSide={vehicle.wheelSide}
            shown={[vehicle.controls[at].place]}
            onPlace={(place) => setControl(at, { place })}
          />
        </div>
      </div>
      <Section title={t('controls')}>
        <Rows>
          {controlCodes.map((code) => (
            // The picture follows the field that has the focus.
            // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
            <li key={code} className={styles.control} onFocus={() => setAt(code)}>
              <b>{controlNames[code]}</b>
              <TextField
                select
                size="small"
                label={t('kind')}
                value={vehicle.controls[code].kind}
                onChange={(event) => setControl(code, { kind: event.target.value as Control['kind'] })}
              >
                {controlKinds.map((kind) => (
                  <MenuItem key={kind} value={kind}>
                    {kind}
                  </MenuItem>
                ))}
              </TextField>
              <TextField
                select
                size="small"
                label={t('place')}
                value={vehicle.controls[code].place}
                onChange={(event) => setControl(code, { place: event.target.value as Control['place'] })}
              >
                {controlPlaces.map((place) => (
                  <MenuItem key={place} value={place}>
                    {placeNames[place]}
                  </MenuItem>
                ))}
              </TextField>
              <TextField
                size="small"
                label={t('how')}
                value={vehicle.controls[code].how}
                onChange={(event) => setControl(code, { how: event.target.value })}
                slotProps={{ htmlInput: { maxLength: 160 } }}
              />
              <TextField
                size="small"
                label={t('howToSwitchOff')}
                value={vehicle.controls[code].back ?? ''}
                onChange={(event) => setControl(code, { back: event.target.value })}
                slotProps={{ htmlInput: { maxLength: 160 } }}
              />
            </li>
          ))}
        </Rows>
      </Section>
      <SaveBar
        problems={tried ? problems.map(profileProblem) : []}
        error={error}
        busy={isLoading}
        action={isNew ? t('addCar') : t('saveAsNewVersion')}
        onSave={() => void save()}
      />
    </Page>
  );
}
