import type { GradeSign as Sign } from '@jasperwren/core/marking/standard';
import { divIcon } from 'leaflet';
import { useMemo } from 'react';
import { createPortal } from 'react-dom';
import { Marker } from '../picture/on-map';
import { GradeSign } from '../../ui/GradeSign';
import styles from './drive-road.module.css';

interface Props {
  readonly lat: number;
  readonly lon: number;
  readonly sign: Sign;
  readonly title: string;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

/** A fault at its place, by the sign of its grade. */
export function SignMark({ lat, lon, sign, title, chosen, onChoose }: Props) {
  const [holder, icon] = useMemo(() => {
    const element = document.createElement('span');
    element.dataset['chosen'] = String(chosen);
    return [element, divIcon({ className: styles.sign!, html: element, iconSize: [26, 26] })];
  }, [chosen]);
  return (
    <>
      <Marker
        position={[lat, lon]}
        icon={icon}
        alt={title}
        title={title}
        zIndexOffset={chosen ? 1000 : 0}
        eventHandlers={{ click: onChoose }}
      />
      {createPortal(<GradeSign sign={sign} size={20} />, holder)}
    </>
  );
}

/** Where the car is at the moment that is looked at. */
export function CarMark({ lat, lon }: { readonly lat: number; readonly lon: number }) {
  const icon = useMemo(() => divIcon({ className: styles.car!, html: '<i></i>', iconSize: [22, 22] }), []);
  return <Marker position={[lat, lon]} icon={icon} interactive={false} keyboard={false} zIndexOffset={2000} />;
}
