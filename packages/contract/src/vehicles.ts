import { t } from '@jasperwren/words/fields';
import {
  controlCodes,
  controlKinds,
  controlPlaces,
  type Control,
  type ControlCode,
  type ControlKind,
  type ControlPlace,
  type VehicleProfile,
} from '@jasperwren/core/safety-questions/vehicle';
import { Type } from 'class-transformer';
import { IsIn, IsString, MaxLength, ValidateBy, ValidateNested } from 'class-validator';
import { MayBeMissing } from './optional';
import { BlankIsAbsent } from './transforms';
import { IsShortCode, IsWords } from './texts';

class ControlInput implements Control {
  @IsIn(controlKinds) kind!: ControlKind;
  @IsIn(controlPlaces) place!: ControlPlace;
  @IsWords(160, t('sayHowItWorks')) how!: string;
  @BlankIsAbsent() @MayBeMissing() @IsString() @MaxLength(160) back?: string;
}

class ControlsInput implements Readonly<Record<ControlCode, Control>> {
  @ValidateNested() @Type(() => ControlInput) headlights!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'main-beam'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'rear-fog'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) indicators!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) hazard!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'front-wash'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'rear-wash'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'front-demist'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) 'rear-demist'!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) horn!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) window!: ControlInput;
  @ValidateNested() @Type(() => ControlInput) bonnet!: ControlInput;
}

/** Every control must be there. */
const HasAllControls = (): PropertyDecorator =>
  ValidateBy({
    name: 'hasAllControls',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'object' &&
        value !== null &&
        controlCodes.every((code) => (value as Partial<ControlsInput>)[code]),
      defaultMessage: () => t('controlIncomplete'),
    },
  });

/** A car of the school. */
export class VehicleInput implements Omit<VehicleProfile, 'id' | 'version'> {
  @IsWords(80, t('nameTheCar')) name!: string;
  @IsIn(['left', 'right']) wheelSide!: 'left' | 'right';
  @IsIn(['manual', 'automatic']) transmission!: 'manual' | 'automatic';
  @HasAllControls() @ValidateNested() @Type(() => ControlsInput) controls!: ControlsInput;
}

/** Which car a learner drives; none where it is left out. */
export class VehicleChoice {
  @BlankIsAbsent() @MayBeMissing() @IsShortCode() vehicleId?: string;
}
