import type { FeatureKind } from '@jasperwren/roads/features/features';
import type { ReactNode } from 'react';

const ink = { stroke: 'currentColor', fill: 'none', strokeWidth: 1.8 } as const;
const ring = <circle cx="8" cy="8" r="5.5" {...ink} strokeWidth={2.4} />;

/** Our own small signs, the same shapes as on the picture of the roads. */
const shapes: Readonly<Partial<Record<FeatureKind, ReactNode>>> = {
  'mini-roundabout': <circle cx="8" cy="8" r="3.4" {...ink} strokeWidth={2.2} />,
  'roundabout-left': ring,
  'roundabout-ahead': ring,
  'roundabout-right': ring,
  signals: (
    <>
      <rect x="4.5" y="1" width="7" height="14" rx="2.2" {...ink} strokeWidth={1.3} />
      {[4.4, 8, 11.6].map((y) => (
        <circle key={y} cx="8" cy={y} r="1.3" fill="currentColor" />
      ))}
    </>
  ),
  stop: <rect x="3" y="6.5" width="10" height="3" fill="currentColor" />,
  crossing: (
    <>
      {[3.5, 7, 10.5].map((x) => (
        <rect key={x} x={x} y="3" width="2" height="10" fill="currentColor" />
      ))}
    </>
  ),
  'dual-carriageway': <path d="M2 6h12M2 10h12" {...ink} />,
  brow: <path d="M3 11l5-6 5 6" {...ink} />,
  school: <path d="M2.5 8L8 3l5.5 5M4 7.5V13h8V7.5" {...ink} strokeWidth={1.4} />,
};

export const hasSign = (kind: FeatureKind): boolean => shapes[kind] !== undefined;

/** The sign of a feature, 16 px wide. */
export const FeatureSign = ({ kind }: { readonly kind: FeatureKind }) => (
  <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
    {shapes[kind]}
  </svg>
);
