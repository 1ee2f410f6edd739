import type { PlacedCall, RouteReading } from '@jasperwren/core/routes/read-route';
import { deviceStyle, type CallStyle } from '@jasperwren/roads/directions/calls';
import type { Place } from '@jasperwren/roads/geometry';
import type { Side } from '@jasperwren/roads/graph/side';
import { t } from '@jasperwren/words/rehearsal';
import type { Units } from '@jasperwren/words/roads/distances';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { useState } from 'react';
import { RouteRibbon } from '../editor/RouteRibbon';
import { usePosition } from '../car/use-position';
import { CallMode } from './CallMode';
import { CommentaryMode } from './CommentaryMode';
import { Controls } from './Controls';
import { EventsMode } from './EventsMode';
import { ListenMode } from './ListenMode';
import type { ModeProps } from './mode';
import styles from './rehearsal.module.css';
import { Strip } from './Strip';
import { usePlay } from './use-play';

interface Props {
  readonly reading: RouteReading;
  readonly units: Units;
  readonly side: Side;
  readonly notes: readonly (Place & { readonly text: string })[];
  /** When the sat nav of the school speaks; as is usual where nobody says. */
  readonly device?: CallStyle;
  /** Goes on by another way from where the road a call leads into is closed. */
  readonly onClosed?: (call: PlacedCall) => void;
}

const modes = ['listen', 'call', 'events', 'commentary'] as const;
type Mode = (typeof modes)[number];

/** Plays the route as it looks from the driver's seat, and rehearses on it in one of several ways. */
export function Player({ reading, units, side, notes, device = deviceStyle, onClosed }: Props) {
  const play = usePlay(reading);
  const { setPlaying } = play;
  const [onDevice, setOnDevice] = useState(false);
  const { along, failed } = usePosition(reading, onDevice ? 'device' : 'touch', 0);
  const metres = along?.metres ?? play.metres;
  const playing = onDevice || play.playing;
  const [mode, setMode] = useState<Mode>('listen');
  const [aloud, setAloud] = useState(true);
  const [seed] = useState(() => Math.floor(Math.random() * 1e6));
  const shared: ModeProps = { reading, units, side, metres, playing, setPlaying };
  return (
    <>
      <Tabs
        value={mode}
        onChange={(_, chosen: Mode) => {
          setPlaying(false);
          setMode(chosen);
        }}
        textColor="inherit"
        variant="fullWidth"
        className={styles.tabs ?? ''}
      >
        {modes.map((one) => (
          <Tab key={one} value={one} label={t(one)} />
        ))}
      </Tabs>
      <Strip {...{ reading, metres, units }} side={side === 'left' ? -1 : 1} />
      {mode === 'listen' && <ListenMode {...shared} aloud={aloud} device={device} goTo={play.goTo} seed={seed} />}
      {mode === 'call' && <CallMode {...shared} />}
      {mode === 'events' && <EventsMode {...shared} seed={seed} {...(onClosed && { onClosed })} />}
      {mode === 'commentary' && <CommentaryMode {...shared} notes={notes} />}
      <Controls
        play={{ ...play, metres }}
        device={[onDevice, setOnDevice]}
        failed={onDevice ? failed : undefined}
        calls={reading.calls}
        whole={reading.metres}
        units={units}
        {...(mode === 'listen' && { aloud: [aloud, setAloud] })}
      />
      <RouteRibbon reading={reading} at={metres} />
    </>
  );
}
