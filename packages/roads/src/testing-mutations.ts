/** Spoils a text in one of many ways that happen to files: cut, doubled, swapped, other numbers, other bytes. */
export function spoilt(text: string, random: () => number): Uint8Array {
  const at = (length: number) => Math.floor(random() * length);
  let out = text;
  const times = 1 + at(3);
  for (let i = 0; i < times; i++) {
    const from = at(out.length);
    const to = Math.min(out.length, from + at(60));
    switch (at(8)) {
      case 0:
        out = out.slice(0, from);
        break;
      case 1:
        out = out.slice(0, from) + out.slice(to);
        break;
      case 2:
        out = out.slice(0, to) + out.slice(from);
        break;
      case 3:
        out = out.replace(/\d+/g, (number) => (random() < 0.02 ? oddNumbers[at(oddNumbers.length)]! : number));
        break;
      case 4:
        out = out.slice(0, from) + oddTexts[at(oddTexts.length)]! + out.slice(from);
        break;
      case 5: {
        const lines = out.split('\n');
        const [a, b] = [at(lines.length), at(lines.length)];
        [lines[a], lines[b]] = [lines[b]!, lines[a]!];
        out = lines.join('\n');
        break;
      }
      case 6:
        out = out.replace(/v="[^"]*"/g, (value) =>
          random() < 0.1 ? `v="${oddTexts[at(oddTexts.length)]!.replace(/[<&"]/g, '')}"` : value,
        );
        break;
      default:
        out = out.replace(/ref="\d+"/g, (value) => (random() < 0.1 ? `ref="${1 + at(12)}"` : value));
    }
  }
  const bytes = new TextEncoder().encode(out);
  if (random() < 0.1 && bytes.length > 0) bytes[at(bytes.length)] = at(256);
  return bytes;
}

const oddNumbers = ['', '-1', '0', '1e400', 'NaN', '9007199254740993', '-9999', '90.0000001', '00012', '0x1f', '٣'];
const oddTexts = [
  '\u0000',
  '&amp;',
  '&a;',
  '<',
  '>',
  '<!--',
  ']]>',
  '"',
  '<osm>',
  '</osm>',
  '\ufeff',
  '\u202e',
  'yes',
  '-1',
  '𝄞',
  '<?xml?>',
  '<![CDATA[',
  'mph',
  '30 mph',
];
