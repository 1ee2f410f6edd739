import { placeKinds, type PlaceKind } from '@jasperwren/core/routes/driving-route';
import { placeWords, t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { Drawing, Edit } from './edit';
import styles from './editor.module.css';

/** What a tap on the roads does. */
export type Tool = 'stop' | 'note' | PlaceKind;

interface Props {
  readonly drawing: Drawing;
  readonly tool: Tool;
  readonly closed: boolean;
  readonly onTool: (tool: Tool) => void;
  readonly onEdit: (edit: Edit) => void;
}

/** What can be done to the route, over the picture. */
export function EditorTools({ drawing: { now, before, undone }, tool, closed, onTool, onEdit }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  const choose = (chosen: Tool) => {
    onTool(chosen);
    setAnchor(undefined);
  };
  const paper = { bgcolor: 'var(--surface)', '&:hover': { bgcolor: 'var(--sunk)' } };
  return (
    <div className={styles.tools}>
      <Button variant="outlined" sx={paper} disabled={before.length === 0} onClick={() => onEdit({ type: 'undo' })}>
        {t('undo')}
      </Button>
      {undone.length > 0 && (
        <Button variant="outlined" sx={paper} onClick={() => onEdit({ type: 'redo' })}>
          {t('redo')}
        </Button>
      )}
      {now.stops.length > 1 && (
        <Button variant="outlined" sx={paper} onClick={() => onEdit({ type: 'reverse' })}>
          {t('reverse')}
        </Button>
      )}
      {now.stops.length > 1 && !closed && (
        <Button variant="outlined" sx={paper} onClick={() => onEdit({ type: 'close' })}>
          {t('closeLoop')}
        </Button>
      )}
      <Button variant="outlined" sx={paper} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {tool === 'stop' || tool === 'note' ? t('addAPlace') : placeWords(tool)}
      </Button>
      <Button
        variant="outlined"
        sx={paper}
        aria-pressed={tool === 'note'}
        onClick={() => choose(tool === 'note' ? 'stop' : 'note')}
      >
        {t('addNote')}
      </Button>
      <Menu open={anchor !== undefined} anchorEl={anchor ?? null} onClose={() => setAnchor(undefined)}>
        {placeKinds.map((kind) => (
          <MenuItem key={kind} onClick={() => choose(kind)}>
            {placeWords(kind)}
          </MenuItem>
        ))}
      </Menu>
    </div>
  );
}
