import { useEffect } from 'react';
import { useMap } from './on-map';

/** In a page the wheel goes on down the page; it zooms while the picture is what was clicked or reached by key. */
export function WheelOnceChosen() {
  const map = useMap();
  useEffect(() => {
    const box = map.getContainer();
    const zoom = () => map.scrollWheelZoom.enable();
    const goOn = () => map.scrollWheelZoom.disable();
    box.addEventListener('focusin', zoom);
    box.addEventListener('focusout', goOn);
    return () => {
      box.removeEventListener('focusin', zoom);
      box.removeEventListener('focusout', goOn);
    };
  }, [map]);
  return null;
}
