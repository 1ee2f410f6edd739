import {
  CircleMarker as CircleLayer,
  control,
  Map as LeafletMap,
  Marker as MarkerLayer,
  Polyline as LineLayer,
  TileLayer as TilesLayer,
  type CircleMarkerOptions,
  type Icon,
  type DivIcon,
  type LatLngBoundsExpression,
  type LatLngExpression,
  type Layer,
  type LeafletEventHandlerFnMap,
  type MapOptions,
  type MarkerOptions,
  type PathOptions,
} from 'leaflet';
import { createContext, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

/** Leaflet as parts of a page: a map, and what lies on it. Each part makes its layer once and hands on what changes. */

const OnMap = createContext<LeafletMap | undefined>(undefined);
const OnLayer = createContext<Layer | undefined>(undefined);

/** The map around a part. */
export function useMap(): LeafletMap {
  const map = useContext(OnMap);
  if (!map) throw new Error('There is no map around this.');
  return map;
}

interface MapProps {
  readonly className: string;
  /** What is shown first. */
  readonly bounds: LatLngBoundsExpression;
  readonly options: MapOptions;
  readonly zoomTitles: { readonly zoomInTitle: string; readonly zoomOutTitle: string };
  readonly children: ReactNode;
}

/** A map in its place on the page; `bounds` and `options` are those of its first moment. */
export function MapPicture({ className, bounds, options, zoomTitles, children }: MapProps) {
  const place = useRef<HTMLDivElement>(null);
  const [first] = useState({ bounds, options, zoomTitles });
  const [map, setMap] = useState<LeafletMap>();
  useEffect(() => {
    const made = new LeafletMap(place.current!, { ...first.options, zoomControl: false });
    control.zoom(first.zoomTitles).addTo(made);
    made.fitBounds(first.bounds);
    setMap(made);
    return () => {
      setMap(undefined);
      made.remove();
    };
  }, [first]);
  return (
    <div ref={place} className={className}>
      {map && <OnMap value={map}>{children}</OnMap>}
    </div>
  );
}

/** A layer that is on the map as long as its part is on the page. */
function useLayer<L extends Layer>(make: () => L): L {
  const map = useMap();
  const [layer] = useState(make);
  useEffect(() => {
    layer.addTo(map);
    return () => void layer.remove();
  }, [layer, map]);
  return layer;
}

type Handlers = LeafletEventHandlerFnMap;

function useHandlers(of: Pick<Layer, 'on' | 'off'>, handlers: Handlers | undefined): void {
  useEffect(() => {
    if (!handlers) return undefined;
    of.on(handlers);
    return () => void of.off(handlers);
  }, [of, handlers]);
}

/** Does something where the map is clicked. */
export function useMapClick(onClick: (at: { readonly lat: number; readonly lon: number }) => void): void {
  const map = useMap();
  const latest = useRef(onClick);
  useEffect(() => {
    latest.current = onClick;
  });
  useEffect(() => {
    const handlers: Handlers = { click: ({ latlng: { lat, lng } }) => latest.current({ lat, lon: lng }) };
    map.on(handlers);
    return () => void map.off(handlers);
  }, [map]);
}

interface MarkerProps extends Omit<MarkerOptions, 'icon'> {
  readonly position: LatLngExpression;
  readonly icon: Icon | DivIcon;
  readonly eventHandlers?: Handlers;
  readonly children?: ReactNode;
}

/** A sign at a point. */
export function Marker({ position, icon, eventHandlers, children, ...options }: MarkerProps) {
  const layer = useLayer(() => new MarkerLayer(position, { ...options, icon }));
  const { zIndexOffset = 0 } = options;
  useEffect(() => void layer.setLatLng(position), [layer, position]);
  useEffect(() => {
    if (layer.options.icon !== icon) layer.setIcon(icon);
  }, [layer, icon]);
  useEffect(() => void layer.setZIndexOffset(zIndexOffset), [layer, zIndexOffset]);
  useHandlers(layer, eventHandlers);
  return <OnLayer value={layer}>{children}</OnLayer>;
}

interface PathProps {
  readonly pathOptions: PathOptions;
  readonly interactive?: boolean;
  readonly eventHandlers?: Handlers;
}

/** A line. */
export function Polyline({
  positions,
  pathOptions,
  interactive = true,
  eventHandlers,
}: PathProps & { readonly positions: [number, number][] }) {
  const layer = useLayer(() => new LineLayer(positions, { ...pathOptions, interactive }));
  useEffect(() => void layer.setLatLngs(positions), [layer, positions]);
  useEffect(() => void layer.setStyle(pathOptions), [layer, pathOptions]);
  useHandlers(layer, eventHandlers);
  return null;
}

interface CircleProps extends PathProps, Pick<CircleMarkerOptions, 'radius'> {
  readonly center: LatLngExpression;
  readonly children?: ReactNode;
}

/** A dot, as large on the screen however far away it is seen. */
export function CircleMarker({
  center,
  radius = 10,
  pathOptions,
  interactive = true,
  eventHandlers,
  children,
}: CircleProps) {
  const layer = useLayer(() => new CircleLayer(center, { ...pathOptions, radius, interactive }));
  useEffect(() => void layer.setLatLng(center), [layer, center]);
  useEffect(() => void layer.setRadius(radius).setStyle(pathOptions), [layer, radius, pathOptions]);
  useHandlers(layer, eventHandlers);
  return <OnLayer value={layer}>{children}</OnLayer>;
}

/** What is said of a layer: drawn by the page into a place that the map shows. */
function useSaid(bind: (layer: Layer, place: HTMLElement) => () => void): HTMLElement {
  const layer = useContext(OnLayer);
  const [place] = useState(() => document.createElement('div'));
  const latest = useRef(bind);
  useEffect(() => (layer ? latest.current(layer, place) : undefined), [layer, place]);
  return place;
}

/** Words that come when the layer is pointed at. */
export function Tooltip({ children }: { readonly children: ReactNode }) {
  const place = useSaid((layer, own) => {
    layer.bindTooltip(own);
    return () => void layer.unbindTooltip();
  });
  return createPortal(children, place);
}

/** Words that come when the layer is touched, and stay until they are closed. */
export function Popup({ children }: { readonly children: ReactNode }) {
  const place = useSaid((layer, own) => {
    layer.bindPopup(own);
    return () => void layer.unbindPopup();
  });
  return createPortal(children, place);
}

interface TilesProps {
  readonly url: string;
  readonly opacity: number;
  readonly maxZoom: number;
  readonly className: string;
}

/** Pictures of somebody else's map below everything. */
export function TileLayer({ url, ...options }: TilesProps) {
  useLayer(() => new TilesLayer(url, options));
  return null;
}
