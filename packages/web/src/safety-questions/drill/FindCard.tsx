import { t } from '@jasperwren/words/questions';
import { choices } from '@jasperwren/core/safety-questions/drill';
import { controlNames, placeNames, symbolOf, type ControlPlace } from '@jasperwren/core/safety-questions/vehicle';
import { useState } from 'react';
import { Schematic } from '../drawings/Schematic';
import type { CardProps } from './card-props';
import { ChoiceList } from './ChoiceList';
import { GoOn } from './GoOn';

/** Find the control in the learner's own car, then say how it works there. */
export function FindCard({ card, source, seed, onDone }: CardProps) {
  const code = card.question.controls?.at(-1);
  const vehicle = source.vehicle;
  const [place, setPlace] = useState<ControlPlace>();
  const [how, setHow] = useState<string>();
  if (!vehicle || !code) return null;
  const control = vehicle.controls[code];
  const found = place === control.place;
  const others = Object.values(vehicle.controls).map((other) => other.how);
  const symbol = symbolOf[code];
  return (
    <>
      <p className="muted">
        {t('vehicleWhereIsTheControlFor', { vehicle: vehicle.name, controlNames: controlNames[code] })}
        {symbol && t('markedWithSymbol', { symbol })}?
      </p>
      <Schematic
        wheelSide={vehicle.wheelSide}
        shown={place ? [control.place] : undefined}
        wrong={place && !found ? place : undefined}
        onPlace={place ? undefined : setPlace}
      />
      {place && (
        <>
          <p role="status">
            {t('partPlaceNamesHowDoYouUse', {
              part: found ? `${t('yesHere')} ` : `${t('noItIsHere')} `,
              placeNames: placeNames[control.place],
            })}
          </p>
          <ChoiceList options={choices(control.how, others, seed)} right={control.how} chosen={how} onChoose={setHow} />
        </>
      )}
      <GoOn shown={how !== undefined} right={found && how === control.how} onDone={onDone} />
    </>
  );
}
