import type { Side } from '@jasperwren/motion/layout/exercises';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { fits, setOut, type SetOut } from '@jasperwren/motion/set-out/set-out';
import { layoutToSvg } from '@jasperwren/motion/set-out/svg';
import { barFor, scaleFor } from '@jasperwren/motion/set-out/scale';
import { capital, joinWords } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/motion';
import { feetAndInches, groundTitle, toleranceWords } from '@jasperwren/words/motion-sentences';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { Choose } from '../../ui/Choose';
import { offerFile } from '../../ui/offer-file';
import styles from '../wheels.module.css';

/** A name that files may have everywhere. */
const fileName = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '') || 'ground';

interface Props {
  readonly layout: Layout;
  readonly name: string;
  readonly side: Side | undefined;
}

type Units = 'metres' | 'feet';

/** A distance as it is read off a tape: to a centimetre, or to a quarter of an inch. */
const taped = (units: Units, metres: number): string =>
  units === 'metres' ? t('m', { value: metres.toFixed(2) }) : feetAndInches(metres);

/** How to set an exercise out with one tape: to scale, with offsets, diagonals and what to bring; a page to print. */
export default function SetOutPanel({ layout, name, side }: Props) {
  const out = useMemo(() => setOut(layout), [layout]);
  const drawing = useMemo(() => `data:image/svg+xml,${encodeURIComponent(layoutToSvg(layout))}`, [layout]);
  const scale = scaleFor(layout.area);
  const file = fileName(name);
  const [units, setUnits] = useState<Units>('metres');
  if (!out) return <p>{t('nothingToSet')}</p>;
  const { base, points } = out;
  return (
    <div className={styles.setOut}>
      <div className={styles.sheet}>
        <h2>{groundTitle(name, side)}</h2>
        {/* As wide as it says itself, in millimetres of paper: so what is printed is to scale. */}
        <img src={drawing} alt={t('setOutPicture', { exercise: name })} />
        <p className="muted">{t('checkScale', { metres: barFor(scale), mm: (barFor(scale) * 1000) / scale })}</p>
      </div>
      <section>
        <p>{t('baseLine', { from: base.from, to: base.to, length: taped(units, base.lengthM) })}</p>
        <div className={styles.fields}>
          <Choose
            label={t('tapeReads')}
            value={units}
            options={[
              ['metres', t('inMetres')],
              ['feet', t('inFeet')],
            ]}
            onChoose={setUnits}
          />
        </div>
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">{t('point')}</th>
              <th scope="col">{t('pointKind')}</th>
              <th scope="col">{t('alongBase')}</th>
              <th scope="col">{t('off')}</th>
              <th scope="col">{t('diagonalTo', { id: base.from })}</th>
              <th scope="col">{t('diagonalTo', { id: base.to })}</th>
            </tr>
          </thead>
          <tbody>
            {points.map(({ id, kind, alongM, offM, toFirstM, toSecondM }) => (
              <tr key={id}>
                <th scope="row">{id}</th>
                <td>{t(kindNames[kind])}</td>
                <td>{taped(units, alongM)}</td>
                <td>{offWords(units, offM)}</td>
                <td>{taped(units, toFirstM)}</td>
                <td>{taped(units, toSecondM)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p>{toleranceWords(out)}</p>
        <h2>{t('parts')}</h2>
        <p>{partsWords(out)}</p>
        <Ground out={out} />
        <div className={styles.pedals}>
          <Button variant="contained" onClick={() => print()}>
            {t('printSetOut')}
          </Button>
          <Button variant="outlined" onClick={() => offerFile(`${file}.svg`, 'image/svg+xml', layoutToSvg(layout))}>
            {t('saveSvg')}
          </Button>
          <Button
            variant="outlined"
            onClick={() =>
              // The writer of such drawings comes when it is asked for.
              void import('@jasperwren/motion/set-out/dxf').then(({ layoutToDxf }) =>
                offerFile(`${file}.dxf`, 'image/vnd.dxf', layoutToDxf(layout)),
              )
            }
          >
            {t('saveDxf')}
          </Button>
          <Button
            variant="outlined"
            onClick={() => offerFile(`${file}.json`, 'application/json', `${JSON.stringify(layout, null, 2)}\n`)}
          >
            {t('saveJson')}
          </Button>
        </div>
      </section>
    </div>
  );
}

const kindNames = { cone: 'kindCone', pole: 'kindPole', chalk: 'kindLineEnd' } as const;

function offWords(units: Units, offM: number): string {
  if (Math.abs(offM) < 0.005) return t('offNone');
  return t(offM > 0 ? 'offLeft' : 'offRight', { value: taped(units, Math.abs(offM)) });
}

function partsWords({ parts }: SetOut): string {
  const words = joinWords(
    [
      parts.cones > 0 && t('cones', { count: parts.cones }),
      parts.poles > 0 && t('poles', { count: parts.poles }),
      parts.chalked > 0 && t('chalked', { count: parts.chalked }),
      parts.lineM > 0 && t('lineOf', { value: Math.ceil(parts.lineM) }),
      t('tapeOf', { value: Math.ceil(parts.tapeM) }),
    ].filter((part) => part !== false),
  );
  return capital(words);
}

function Ground({ out }: { readonly out: SetOut }) {
  const [length, setLength] = useState('30');
  const [width, setWidth] = useState('15');
  const ground = { lengthM: Number(length), widthM: Number(width) };
  const usable = ground.lengthM > 0 && ground.widthM > 0;
  const fit = usable ? fits(out, ground) : undefined;
  const sizes = { length: out.lengthM.toFixed(1), width: out.widthM.toFixed(1) };
  return (
    <>
      <h2>{t('groundYouHave')}</h2>
      <div className={styles.fields}>
        <TextField
          size="small"
          type="number"
          label={t('groundLength')}
          value={length}
          onChange={(event) => setLength(event.target.value)}
        />
        <TextField
          size="small"
          type="number"
          label={t('groundWidth')}
          value={width}
          onChange={(event) => setWidth(event.target.value)}
        />
      </div>
      {fit && (
        <p role="status">
          {fit.fits
            ? t(fit.turned ? 'groundFitsTurned' : 'groundFits', sizes)
            : t('groundMissing', {
                ...sizes,
                missing: joinWords(
                  [
                    fit.missingLengthM > 0 && t('missingLength', { value: fit.missingLengthM.toFixed(1) }),
                    fit.missingWidthM > 0 && t('missingWidth', { value: fit.missingWidthM.toFixed(1) }),
                  ].filter((part) => part !== false),
                ),
              })}
        </p>
      )}
    </>
  );
}
