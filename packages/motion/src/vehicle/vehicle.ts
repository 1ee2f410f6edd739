/** A vehicle as its measures, in metres and degrees. Its middle is the middle of its rear axle, pointing ahead. */
export interface Vehicle {
  readonly kind: VehicleKind;
  /** From axle to axle; of several rear axles, their middle. */
  readonly wheelbaseM: number;
  /** Between the middles of the front tyres, and of the rear ones. */
  readonly trackM: number;
  /** From the front axle to the front end, and from the rear axle to the rear end. */
  readonly frontOverhangM: number;
  readonly rearOverhangM: number;
  /** Without mirrors, and over both mirrors. */
  readonly widthM: number;
  readonly mirrorWidthM: number;
  /** How far ahead of the rear axle the door mirrors stand. */
  readonly mirrorAheadM: number;
  readonly tyreWidthM: number;
  readonly tyreDiameterM: number;
  /** The steering angle of a wheel in the middle of the front axle at full lock, in degrees. */
  readonly lockDeg: number;
  /** Turns of the steering wheel from full left to full right. */
  readonly turnsLockToLock: number;
  /** Where the driver's eye is: ahead of the rear axle, to the left of the middle, above the ground. */
  readonly eyeAheadM: number;
  readonly eyeLeftM: number;
  readonly eyeHeightM: number;
  /** How far the driver's seat goes from its foremost to its rearmost place. */
  readonly seatRangeM: number;
  /** The upper edge of the bonnet as the driver sees it: how far ahead of the rear axle and how high. */
  readonly bonnetAheadM: number;
  readonly bonnetHeightM: number;
  /** The glass of a door mirror: how wide and tall it is, and the height of its middle above the ground. */
  readonly mirrorGlassWideM: number;
  readonly mirrorGlassTallM: number;
  readonly mirrorGlassHeightM: number;
  /** The radius that the glass bulges with; the larger the flatter. */
  readonly mirrorRadiusM: number;
  /** How far the glass is tilted down from where its middle shows the horizon, in degrees. */
  readonly mirrorDownDeg: number;
  /** The foot and the top of the front pillar, and the pillar behind the front door, ahead of the rear axle. */
  readonly pillarFootAheadM: number;
  readonly pillarTopAheadM: number;
  readonly doorPillarAheadM: number;
  /** How wide a front pillar is, and how high the roof. */
  readonly pillarWideM: number;
  readonly roofM: number;
  /** The lower edge of the side windows, above the ground. */
  readonly sillM: number;
  /** How far ahead of the rear axle the handles of the front doors are. */
  readonly doorHandleAheadM: number;
  readonly trailer?: Trailer;
}

export type VehicleKind = 'car' | 'van' | 'rigid' | 'car-with-trailer';

export interface Trailer {
  /** From the rear axle of the car back to the coupling. */
  readonly hitchBehindM: number;
  /** From the coupling to the trailer's axle; of several, their middle. */
  readonly drawbarM: number;
  /** From the trailer's axle to the front of its body, and to its rear end. */
  readonly bodyAheadM: number;
  readonly bodyBehindM: number;
  readonly widthM: number;
  readonly tyreWidthM: number;
  readonly tyreDiameterM: number;
}

/** Metres from its front end to its rear end, without a trailer. */
export const lengthOf = ({ wheelbaseM, frontOverhangM, rearOverhangM }: Vehicle): number =>
  wheelbaseM + frontOverhangM + rearOverhangM;

/** Metres from the rear axle back to the rear end, or to that of the trailer in a straight line. */
export const rearBehindOf = ({ trailer, rearOverhangM }: Pick<Vehicle, 'trailer' | 'rearOverhangM'>): number =>
  trailer ? trailer.hitchBehindM + trailer.drawbarM + trailer.bodyBehindM : rearOverhangM;

/** How much further back than the car a trailer in a straight line reaches, in metres; 0 without one. */
export const trailerBehindOf = (vehicle: Vehicle): number => rearBehindOf(vehicle) - vehicle.rearOverhangM;

/** Metres from the front end of a vehicle to its rear end, its trailer's where it has one, in a straight line. */
export const wholeLengthOf = (vehicle: Vehicle): number => frontOf(vehicle) + rearBehindOf(vehicle);

/** Metres of a vehicle that stand in a bay that it was reversed into: its trailer's body, or all of it. */
export const reversedLengthOf = (vehicle: Vehicle): number =>
  vehicle.trailer ? vehicle.trailer.bodyAheadM + vehicle.trailer.bodyBehindM : lengthOf(vehicle);

/** How far ahead of the rear axle its front end is, in metres. */
export const frontOf = ({ wheelbaseM, frontOverhangM }: Vehicle): number => wheelbaseM + frontOverhangM;
