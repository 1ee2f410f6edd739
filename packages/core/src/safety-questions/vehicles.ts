import type { Control, ControlKind, ControlPlace, VehicleProfile } from './vehicle';

const control = (kind: ControlKind, place: ControlPlace, how: string, back?: string): Control => ({
  kind,
  place,
  how,
  ...(back && { back }),
});

const bonnetLever = control('lever', 'under-dash', 'pull it until the bonnet springs up a finger’s width');

/** Three invented cars that differ in almost everything. */
export const shippedVehicles: readonly VehicleProfile[] = [
  {
    id: 'tarrel',
    version: 1,
    name: 'Tarrel hatchback',
    wheelSide: 'right',
    transmission: 'manual',
    controls: {
      headlights: control('stalk', 'stalk-left', 'turn its end away from you, two steps', 'turn it back'),
      'main-beam': control('stalk', 'stalk-left', 'push it away from you until it clicks', 'pull it back'),
      'rear-fog': control('stalk', 'stalk-left', 'turn the ring behind its end', 'turn the ring again'),
      indicators: control('stalk', 'stalk-left', 'up for left, down for right'),
      hazard: control('button', 'centre-top', 'press the red triangle', 'press it again'),
      'front-wash': control('stalk', 'stalk-right', 'pull it towards you', 'let go; the wipers stop by themselves'),
      'rear-wash': control('stalk', 'stalk-right', 'push it away from you', 'pull it back one step'),
      'front-demist': control('dial', 'centre-bottom', 'turn to the curved window, fan up, heat up', 'turn all back'),
      'rear-demist': control('button', 'centre-bottom', 'press the square window', 'press it again'),
      horn: control('pad', 'hub', 'press the middle of the wheel'),
      window: control('rocker', 'door', 'press the front of the switch to open', 'pull it up to close'),
      bonnet: bonnetLever,
    },
  },
  {
    id: 'skerrin',
    version: 1,
    name: 'Skerrin tall car',
    wheelSide: 'right',
    transmission: 'automatic',
    controls: {
      headlights: control('dial', 'dash-outer', 'turn it to the lamp with sloping rays', 'turn it back to auto'),
      'main-beam': control('stalk', 'stalk-right', 'pull it towards you until it stays', 'pull it once more'),
      'rear-fog': control('dial', 'dash-outer', 'pull the dial out two clicks', 'push it in'),
      indicators: control('stalk', 'stalk-right', 'up for right, down for left'),
      hazard: control('button', 'dash-inner', 'press the red triangle', 'press it again'),
      'front-wash': control('stalk', 'stalk-left', 'press the button at its end', 'let go'),
      'rear-wash': control('stalk', 'stalk-left', 'turn the ring to the drops and hold it', 'turn the ring back'),
      'front-demist': control(
        'button',
        'centre-middle',
        'press the curved window: fan, heat and aim follow',
        'press it again',
      ),
      'rear-demist': control('button', 'centre-middle', 'press the square window', 'it ends by itself, or press again'),
      horn: control('button', 'spoke-left', 'press the trumpet on the spoke'),
      window: control('rocker', 'console', 'push the switch forward to open', 'pull it back to close'),
      bonnet: control('lever', 'under-dash', 'pull it twice'),
    },
  },
  {
    id: 'ousel',
    version: 1,
    name: 'Ousel electric',
    wheelSide: 'left',
    transmission: 'automatic',
    controls: {
      headlights: control('button', 'dash-outer', 'press until the lamp with sloping rays is lit', 'press to auto'),
      'main-beam': control('stalk', 'stalk-left', 'push it away from you', 'push it again'),
      'rear-fog': control('button', 'dash-outer', 'press the lower button', 'press it again'),
      indicators: control('stalk', 'stalk-left', 'up for right, down for left'),
      hazard: control('button', 'console', 'press the triangle by the selector', 'press it again'),
      'front-wash': control('button', 'spoke-right', 'hold the button with the drops', 'let go'),
      'rear-wash': control('button', 'spoke-right', 'press the square window with the drops', 'press it again'),
      'front-demist': control('button', 'centre-top', 'press the curved window', 'press it again'),
      'rear-demist': control('button', 'centre-top', 'press the square window', 'press it again'),
      horn: control('pad', 'hub', 'press either side of the middle of the wheel'),
      window: control('rocker', 'door', 'push down to open', 'pull up to close'),
      bonnet: control('button', 'under-dash', 'hold it for two seconds with the car standing'),
    },
  },
];

/** A shipped or own car by its id. */
export function findVehicle(vehicles: readonly VehicleProfile[], id: string | undefined): VehicleProfile | undefined {
  return vehicles.find((vehicle) => vehicle.id === id);
}
