/** Stands in for the device's own position: tells what it is told to. */
export function pretendGeolocation() {
  let told: PositionCallback = () => undefined;
  let failed: PositionErrorCallback = () => undefined;
  const watch = 7;
  let ended = false;
  Object.defineProperty(navigator, 'geolocation', {
    configurable: true,
    value: {
      watchPosition: (onTold: PositionCallback, onFailed: PositionErrorCallback) => {
        [told, failed] = [onTold, onFailed];
        return watch;
      },
      clearWatch: (cleared: number) => void (ended ||= cleared === watch),
    },
  });
  return {
    tell: (coords: Partial<GeolocationCoordinates>, timestamp = 0) =>
      told({ timestamp, coords } as GeolocationPosition),
    refuse: (message: string) => failed({ message } as GeolocationPositionError),
    /** Whether the watch that was begun has been ended. */
    isEnded: () => ended,
  };
}
