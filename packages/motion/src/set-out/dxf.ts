import Drawing from 'dxf-writer';
import { markerRadiusM, type Layout } from '../layout/layout';

/** A layout as a drawing that other programs read (DXF), in metres: markers, lines, kerbs and walls each in their layer. */
export function layoutToDxf({ markers, edges }: Layout): string {
  const drawing = new Drawing();
  drawing.setUnits('Meters');
  const layer = (name: string, colour: number) => drawing.addLayer(name, colour, 'CONTINUOUS');
  layer('LINE', Drawing.ACI.YELLOW);
  layer('KERB', Drawing.ACI.WHITE);
  layer('WALL', Drawing.ACI.RED);
  layer('MARKER', Drawing.ACI.BLUE);
  for (const { kind, from, to } of edges) {
    drawing.setActiveLayer(kind.toUpperCase());
    drawing.drawLine(from.x, from.y, to.x, to.y);
  }
  drawing.setActiveLayer('MARKER');
  for (const { id, kind, x, y } of markers) {
    drawing.drawCircle(x, y, markerRadiusM[kind]);
    drawing.drawText(x + 0.25, y + 0.25, 0.3, 0, id);
  }
  return drawing.toDxfString();
}
