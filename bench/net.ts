import { once } from 'node:events';
import { createWriteStream } from 'node:fs';

/** A net of streets as a file: so many junctions a side, with bends between them and a restriction here and there. */
export async function writeNet(file: string, side: number, bends: number): Promise<void> {
  const out = createWriteStream(file);
  const write = async (text: string) => {
    if (!out.write(text)) await once(out, 'drain');
  };
  await write('<?xml version="1.0" encoding="UTF-8"?>\n<osm version="0.6">\n');
  const junction = (x: number, y: number) => 1 + x * side + y;
  let next = side * side + 1;
  let ways = '';
  let way = 1;
  const relations: string[] = [];
  for (let x = 0; x < side; x++) {
    let nodes = '';
    for (let y = 0; y < side; y++) {
      const [lat, lon] = [48 + y * 0.001 + ((x * 7919 + y * 104_729) % 97) * 4e-6, -30 + x * 0.0014];
      nodes += `  <node id="${junction(x, y)}" version="1" timestamp="2026-01-01T00:00:00Z" lat="${lat.toFixed(7)}" lon="${lon.toFixed(7)}"/>\n`;
      for (const [dx, dy] of [
        [1, 0],
        [0, 1],
      ] as const) {
        if (x + dx >= side || y + dy >= side) continue;
        let refs = `<nd ref="${junction(x, y)}"/>`;
        for (let b = 1; b <= bends; b++) {
          const share = b / (bends + 1);
          nodes += `  <node id="${next}" version="1" timestamp="2026-01-01T00:00:00Z" lat="${(lat + dy * 0.001 * share).toFixed(7)}" lon="${(lon + dx * 0.0014 * share).toFixed(7)}"/>\n`;
          refs += `<nd ref="${next++}"/>`;
        }
        refs += `<nd ref="${junction(x + dx, y + dy)}"/>`;
        ways += `  <way id="${way}" version="1">${refs}<tag k="highway" v="residential"/><tag k="name" v="Street ${way}"/>${way % 9 === 0 ? '<tag k="oneway" v="yes"/>' : ''}</way>\n`;
        if (way % 40 === 0 && way > 1)
          relations.push(
            `  <relation id="${way}"><member type="way" ref="${way - 1}" role="from"/><member type="node" ref="${junction(x, y)}" role="via"/><member type="way" ref="${way}" role="to"/><tag k="type" v="restriction"/><tag k="restriction" v="no_left_turn"/></relation>\n`,
          );
        way++;
      }
    }
    await write(nodes);
  }
  await write(ways);
  await write(relations.join(''));
  out.end('</osm>\n');
  await once(out, 'finish');
}
