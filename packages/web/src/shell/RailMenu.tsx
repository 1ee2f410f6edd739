import { t } from '@jasperwren/words/shell';
import type { SvgIconComponent } from '@mui/icons-material';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { NavLink } from 'react-router';

/** A section: its address, its name and its sign. */
export type Place = readonly [path: string, name: string, Icon: SvgIconComponent];

interface Props {
  readonly anchor: HTMLElement;
  readonly places: readonly Place[];
  readonly onFind: () => void;
  readonly onClose: () => void;
}

/** The sections that a phone has no room for, and the quick find. */
export default function RailMenu({ anchor, places, onFind, onClose }: Props) {
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      <MenuItem
        onClick={() => {
          onClose();
          onFind();
        }}
      >
        {t('find')}
      </MenuItem>
      {places.map(([path, name]) => (
        <MenuItem key={path} component={NavLink} to={path} onClick={onClose}>
          {name}
        </MenuItem>
      ))}
    </Menu>
  );
}
