import { isChosen } from '../marking/options';
import type { EffectiveStandard, Item, SensorSign } from '../marking/standard';
import type { Finding } from './findings';
import type { Moment, Step } from './moment';
import { thresholds, type SensedItems } from './signs';
import type { Stay } from './stay';

/** What every watch knows. */
export interface Scene extends Step {
  /** The exercise whose part of the yard the car is in. */
  readonly stay: Stay | undefined;
  /** Whether the car has moved since the run began. */
  readonly hasMoved: boolean;
  /** Whether the car is being left, so that belt, door and engine are free. */
  readonly leaving: boolean;
}

/** One thing that is watched for, sample by sample. */
export interface Watch {
  readonly look: (scene: Scene) => readonly (Finding | undefined)[];
  /** The run ends, or nothing is heard of the car for a while. */
  readonly broken?: () => readonly (Finding | undefined)[];
}

type Tools = Pick<SensedItems, 'item' | 'mark'>;

/** A value for as long as it is worth a grade: one mark, with the worst of it. */
export function valueWatch({ item, mark }: Tools, sign: SensorSign, value: (now: Moment) => number | undefined): Watch {
  let open: { readonly of: Item; readonly from: number; to: number; peak: number; peakAt: number } | undefined;
  const close = () => {
    const found = open && mark(open.of, open.peakAt, open.from, open.to, Math.round(open.peak * 100) / 100);
    open = undefined;
    return [found];
  };
  return {
    look({ now, stay }) {
      const own = item(sign, stay?.exercise.code);
      const reading = value(now);
      if (reading === undefined) return [];
      const worth = own && mark(own, now.at, now.at, now.at, reading);
      if (!worth || open?.of !== own) {
        const closed = close();
        if (worth) open = { of: own, from: now.at, to: now.at, peak: reading, peakAt: now.at };
        return closed;
      }
      open.to = now.at;
      if (reading > open.peak) {
        open.peak = reading;
        open.peakAt = now.at;
      }
      return [];
    },
    broken: close,
  };
}

/** A contact that is there or not: one mark each time it begins. */
export function contactWatch({ item, mark }: Tools, sign: 'line' | 'pole'): Watch {
  let lastAt: number | undefined;
  return {
    look({ now, stay }) {
      if (now[sign] !== true) return [];
      const begins = lastAt === undefined || now.at - lastAt > thresholds.contactOff;
      lastAt = now.at;
      const own = begins ? item(sign, stay?.exercise.code) : undefined;
      return [own && mark(own, now.at, now.at, now.at)];
    },
  };
}

/** Belt off or a door open after the car has moved and before it is left: one mark each time. */
export function safetyWatch({ item, mark }: Tools, sign: 'belt' | 'door', wrong: boolean): Watch {
  let was = false;
  return {
    look({ now, stay, hasMoved, leaving }) {
      const is = now[sign] === wrong && hasMoved && !leaving;
      const begins = is && !was;
      if (now[sign] !== undefined) was = is;
      const own = begins ? item(sign, stay?.exercise.code) : undefined;
      return [own && mark(own, now.at, now.at, now.at)];
    },
  };
}

/** The engine stops by itself. */
export function stallWatch({ item, mark }: Tools): Watch {
  return {
    look({ now, before, stay, hasMoved, leaving }) {
      if (!hasMoved || before?.engine !== true || now.engine !== false) return [];
      // Switched off, not stalled.
      if (now.gear === 'N' || now.gear === 'P' || (leaving && now.parkingBrake === true)) return [];
      const own = item('stalled', stay?.exercise.code);
      return [own && mark(own, now.at, before.at, now.at)];
    },
  };
}

/** Setting off with the parking brake on, and pulling it while still rolling: once a movement each. */
export function parkingBrakeWatch({ item, mark }: Tools): Watch {
  let stoodWithIt = false;
  let setOff = false;
  let pulled = false;
  return {
    look({ now, before, stay }) {
      const on = now.parkingBrake === true;
      if (now.way === 0) {
        stoodWithIt = on;
        setOff = pulled = false;
        return [];
      }
      if (!on) {
        stoodWithIt = false;
        return [];
      }
      if (Math.abs(now.speed ?? 0) <= thresholds.moving) return [];
      if (stoodWithIt && !setOff) {
        setOff = true;
        const own = item('brake-on', stay?.exercise.code);
        return [own && mark(own, now.at, now.at, now.at)];
      }
      if (!stoodWithIt && !pulled && before?.parkingBrake === false) {
        pulled = true;
        const own = item('early-brake', stay?.exercise.code);
        return [own && mark(own, now.at, before.at, now.at)];
      }
      return [];
    },
    broken() {
      stoodWithIt = false;
      return [];
    },
  };
}

/** Turning the wheel while the car stands: once a standstill. */
export function drySteeringWatch({ item, mark }: Tools): Watch {
  let stand: { readonly from: number; least: number; most: number; told: boolean } | undefined;
  return {
    look({ now, stay }) {
      const { steering } = now;
      if (now.way !== 0 || !stay) {
        stand = undefined;
        return [];
      }
      if (steering === undefined) return [];
      stand ??= { from: now.at, least: steering, most: steering, told: false };
      stand.least = Math.min(stand.least, steering);
      stand.most = Math.max(stand.most, steering);
      if (stand.told || stand.most - stand.least <= thresholds.drySteering) return [];
      stand.told = true;
      const own = item('dry-steering', stay.exercise.code);
      return [own && mark(own, now.at, stand.from, now.at)];
    },
    broken() {
      stand = undefined;
      return [];
    },
  };
}

/** An automatic that is parked without going to P: told when it moves again. */
export function parkWatch({ item, mark }: Tools): Watch {
  let automatic = false;
  let parked: { readonly at: number; inP: boolean } | undefined;
  return {
    look({ now, stay }) {
      if (now.gear === 'P' || now.gear === 'D') automatic = true;
      if (now.way === 0) {
        if (stay?.parked && now.gear !== undefined) {
          parked ??= { at: now.at, inP: false };
          if (now.gear === 'P') parked.inP = true;
        }
        return [];
      }
      const missed = automatic && parked && !parked.inP ? parked : undefined;
      parked = undefined;
      const own = missed && item('not-in-park', stay?.exercise.code);
      return [own && mark(own, now.at, missed.at, now.at)];
    },
    broken() {
      parked = undefined;
      return [];
    },
  };
}

/** Movements to and fro in a bay or a turn until the car is parked. */
export function movementWatch({ item, mark }: Tools): Watch {
  return {
    look({ now, stay }) {
      if (!stay?.exercise.manoeuvre || now.way === 0 || now.way === stay.way || stay.parked) return [];
      const { code, manoeuvre } = stay.exercise;
      if (manoeuvre === 'slope' || manoeuvre === 'quick-stop' || manoeuvre === 'corner') return [];
      stay.way = now.way;
      const findings: (Finding | undefined)[] = stay.started ? [{ kind: 'movement', at: now.at }] : [];
      if (now.way === 1) {
        const own = stay.reverses > 0 ? item('pull-forward', code) : undefined;
        return [...findings, own && mark(own, now.at, now.at, now.at)];
      }
      stay.reverses++;
      if (stay.reverses <= (manoeuvre === 'bay-forward' ? 0 : 1)) return findings;
      const own = item(stay.inside >= thresholds.halfInside ? 'late-extra-reverse' : 'extra-reverse', code);
      return [...findings, own && mark(own, now.at, now.at, now.at)];
    },
  };
}

/** The stop at the tone: its speed, how soon the brake comes, which foot is first, and how far it takes. */
export function quickStopWatch({ item, mark }: Tools, standard: EffectiveStandard): Watch {
  const togetherIsWrong = isChosen(standard, 'emergency-footwork', 'brake-first');
  let tone: { readonly at: number; footworkKnown: boolean; late: boolean } | undefined;
  let braking: { readonly at: number; metres: number } | undefined;
  return {
    look({ now, before, stay }) {
      if (stay?.exercise.manoeuvre !== 'quick-stop') {
        tone = braking = undefined;
        return [];
      }
      const { code } = stay.exercise;
      const findings: (Finding | undefined)[] = [];
      const tell = (sign: SensorSign, from: number, measured?: number) => {
        const own = item(sign, code);
        findings.push(own && mark(own, now.at, from, now.at, measured));
      };
      if (now.tone === true && !stay.toneHeard) {
        stay.toneHeard = true;
        tone = { at: now.at, footworkKnown: false, late: false };
        if (now.speed !== undefined) tell('tone-speed', now.at, now.speed);
      }
      if (tone) {
        const brakes = (now.brake ?? 0) > thresholds.brakePressed;
        const clutches = (now.clutch ?? 0) > thresholds.clutchPressed;
        if (!tone.footworkKnown && (brakes || clutches)) {
          tone.footworkKnown = true;
          if (clutches && (!brakes || togetherIsWrong)) tell('clutch-first', tone.at);
        }
        if (brakes) {
          findings.push({ kind: 'fact', at: now.at, fact: 'reaction', value: (now.at - tone.at) / 1000 });
          braking = { at: now.at, metres: 0 };
        }
        if (!tone.late && !brakes && now.at - tone.at > thresholds.lateBraking) {
          tone.late = true;
          tell('late-braking', tone.at);
        }
        if (brakes || now.way === 0) tone = undefined;
      }
      if (braking && before) {
        braking.metres += ((now.speed ?? 0) / 3.6) * ((now.at - before.at) / 1000);
        if (now.way === 0) {
          findings.push({
            kind: 'fact',
            at: now.at,
            fact: 'stopping-distance',
            value: Math.round(braking.metres * 10) / 10,
          });
          braking = undefined;
        }
      }
      return findings;
    },
    broken() {
      tone = braking = undefined;
      return [];
    },
  };
}
