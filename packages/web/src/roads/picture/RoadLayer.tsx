import { DomUtil, Layer, type LeafletEvent, type Map as LeafletMap, type ZoomAnimEvent } from 'leaflet';
import { useEffect } from 'react';
import { useMap } from './on-map';
import { useThemeName } from '../../base/Theme';
import { fonts, tokens, type ThemeName } from '../../base/tokens';
import { drawRoads } from './draw-roads';
import type { PreparedRoads } from './prepare';

/** So much more than the window is drawn on each side, so that nothing has to be drawn while it is pulled. */
const margin = 0.35;

/** A canvas below everything else that is drawn anew when the picture has come to rest. */
class RoadCanvas extends Layer {
  private readonly canvas = DomUtil.create('canvas', 'leaflet-zoom-animated');
  private corner = { x: 0, y: 0 };
  private zoom = 0;

  constructor(
    private readonly roads: PreparedRoads,
    private readonly theme: ThemeName,
  ) {
    super();
  }

  override onAdd(map: LeafletMap): this {
    this.canvas.setAttribute('aria-hidden', 'true');
    // Above the pictures of others, where there are any.
    this.canvas.style.zIndex = '2';
    map.getPane('tilePane')!.appendChild(this.canvas);
    this.draw();
    return this;
  }

  override onRemove(): this {
    this.canvas.remove();
    return this;
  }

  override getEvents() {
    return {
      moveend: () => this.draw(),
      resize: () => this.draw(),
      zoomanim: (event: LeafletEvent) => this.follow(event as ZoomAnimEvent),
    };
  }

  /** While it is zoomed the picture that is there grows or shrinks with it. */
  private follow({ center, zoom }: ZoomAnimEvent): void {
    const map = this._map;
    const scale = map.getZoomScale(zoom, this.zoom);
    const origin = map.unproject([this.corner.x, this.corner.y], this.zoom);
    const size = map.getSize();
    const at = map.project(origin, zoom).subtract(map.project(center, zoom).subtract(size.divideBy(2)));
    const pane = DomUtil.getPosition(map.getPane('mapPane')!);
    DomUtil.setTransform(this.canvas, at.subtract(pane), scale);
  }

  private draw(): void {
    const map = this._map;
    if (!map) return;
    const size = map.getSize();
    const ratio = Math.min(2, window.devicePixelRatio || 1);
    const [mx, my] = [Math.round(size.x * margin), Math.round(size.y * margin)];
    const [width, height] = [size.x + 2 * mx, size.y + 2 * my];
    const zoom = map.getZoom();
    const corner = map.getPixelBounds().min!.subtract([mx, my]);
    this.corner = corner;
    this.zoom = zoom;
    this.canvas.width = width * ratio;
    this.canvas.height = height * ratio;
    this.canvas.style.width = `${width}px`;
    this.canvas.style.height = `${height}px`;
    DomUtil.setTransform(this.canvas, map.containerPointToLayerPoint([-mx, -my]), 1);
    const pen = this.canvas.getContext('2d')!;
    pen.scale(ratio, ratio);
    const scale = 256 * 2 ** zoom;
    drawRoads(
      pen,
      this.roads,
      { scale, left: corner.x, top: corner.y, width, height, zoom },
      tokens[this.theme],
      fonts.text,
    );
  }
}

/** The roads, drawn by ourselves. */
export function RoadLayer({ roads }: { readonly roads: PreparedRoads }) {
  const map = useMap();
  const theme = useThemeName();
  useEffect(() => {
    const layer = new RoadCanvas(roads, theme);
    layer.addTo(map);
    return () => void layer.remove();
  }, [map, roads, theme]);
  return null;
}
