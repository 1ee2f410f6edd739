const first =
  'Amber Anchor Ashlen Barrow Beacon Bellow Bracken Brindle Cobble Copper Cooper Corrow Dapple Delver Dunlin Ember Fallow Fennel Fetter Garnet Gorsel Harrow Hazel Heron Hollin Jasper Kelder Kestrel Lantern Larkin Linnet Lobster Mallow Marram Mason Merrow Millet Mussel Nettle Orchard Osprey Otter Pebble Petrel Pilot Plover Quarrel Quince Reed Rook Rowan Saffron Salter Sandrel Sorrel Sparrow Tansy Teasel Thistle Tiller Umber Vetch Warrow Whelk Willet Wren Yarrow'.split(
    ' ',
  );
const kinds = ['Street', 'Road', 'Row', 'Rise', 'Lane', 'Walk', 'Gate', 'Way', 'Terrace', 'Hill'];

/** Invented names of streets: each once, as far as the words go. */
export function streetNames(random: () => number): (kind?: string) => string {
  const used = new Set<string>();
  const draw = (kind?: string) =>
    `${first[Math.floor(random() * first.length)]!} ${kind ?? kinds[Math.floor(random() * kinds.length)]!}`;
  return (kind) => {
    let name = draw(kind);
    for (let tries = 0; used.has(name) && tries < 20; tries++) name = draw(kind);
    used.add(name);
    return name;
  };
}
