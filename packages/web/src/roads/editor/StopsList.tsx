import { legModes, type RouteBody } from '@jasperwren/core/routes/driving-route';
import { legModeWords, placeWords, t } from '@jasperwren/words/routes';
import CloseRounded from '@mui/icons-material/CloseRounded';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Edit } from './edit';
import styles from './editor.module.css';

interface Props {
  readonly route: RouteBody;
  readonly closed: boolean;
  readonly onEdit: (edit: Edit) => void;
}

/** Stops and places as a list: what the picture shows, for the keyboard and for how each leg is driven. */
export function StopsList({ route: { stops, places }, closed, onEdit }: Props) {
  const last = stops.length - 1;
  return (
    <>
      <Typography variant="h2">{t('stops')}</Typography>
      <ol className={styles.stops}>
        {stops.map(({ mode }, i) => (
          <li key={i}>
            <span>{i === 0 ? t('start') : i === last ? t('finish') : t('stopNth', { nth: i + 1 })}</span>
            {i < last && (
              <TextField
                select
                size="small"
                variant="standard"
                value={mode}
                slotProps={{ select: { inputProps: { 'aria-label': t('legMode', { nth: i + 1 }) } } }}
                onChange={(event) => onEdit({ type: 'mode', stop: i, mode: event.target.value as typeof mode })}
              >
                {legModes.map((one) => (
                  <MenuItem key={one} value={one}>
                    {legModeWords(one)}
                  </MenuItem>
                ))}
              </TextField>
            )}
            {!(closed && i === 0) && (
              <IconButton
                aria-label={t('removeStop', { nth: i + 1 })}
                size="small"
                onClick={() => onEdit({ type: 'remove', stop: i })}
              >
                <CloseRounded fontSize="small" />
              </IconButton>
            )}
          </li>
        ))}
        {places.map(({ kind }, i) => (
          <li key={`${kind} ${i}`}>
            <span>{placeWords(kind)}</span>
            <IconButton
              aria-label={t('removePlace', { place: placeWords(kind) })}
              size="small"
              onClick={() => onEdit({ type: 'remove-place', place: i })}
            >
              <CloseRounded fontSize="small" />
            </IconButton>
          </li>
        ))}
      </ol>
    </>
  );
}
