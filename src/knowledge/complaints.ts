import type { Complaint } from '@/core/diagnosis/knowledge';

const both = ['upright-shaft-belt', 'upright-brush-motor'];
const shaftBelt = ['upright-shaft-belt'];
const brushMotor = ['upright-brush-motor'];

/** What customers say, as the trade sorts it. Common practice, no source. */
export const complaints: Complaint[] = [
  { id: 'roll-not-turning', label: 'Roll does not turn', kinds: both },
  { id: 'roll-slow', label: 'Roll slow, leaves no lines', kinds: both },
  { id: 'roll-stops-and-starts', label: 'Roll cuts in and out', kinds: both },
  { id: 'roll-runs-upright', label: 'Roll runs when upright', kinds: brushMotor },
  { id: 'ratchet-noise', label: 'Ratchet noise', kinds: both },
  { id: 'squeal', label: 'Squeals', kinds: both },
  { id: 'rattle', label: 'Rattles', kinds: both },
  { id: 'harsh-motor', label: 'Motor sounds harsh', kinds: both },
  { id: 'burning-smell', label: 'Smells of burning', kinds: both, raises: ['burnt-smell'] },
  { id: 'bad-smell', label: 'Smells of pet or mould', kinds: both, leak: 0.05 },
  { id: 'no-suction', label: 'No suction', kinds: both },
  { id: 'weak-suction', label: 'Weak suction', kinds: both },
  { id: 'weak-only-in-floor-mode', label: 'Weak at the floor only', kinds: both },
  { id: 'stops-after-minutes', label: 'Stops after minutes, returns cool', kinds: both },
  { id: 'dead', label: 'Dead', kinds: both },
  { id: 'dead-intermittent', label: 'Dead now and then', kinds: both },
  { id: 'trips-house-breaker', label: 'Trips the house breaker', kinds: both },
  { id: 'sparks', label: 'Sparks', kinds: both },
  { id: 'hard-to-push', label: 'Hard to push', kinds: both },
  { id: 'will-not-stand', label: 'Will not stand up', kinds: both },
  { id: 'blows-dust', label: 'Blows dust', kinds: both },
  { id: 'indicator-red', label: 'Filter light red', kinds: shaftBelt },
  { id: 'indicator-never-red', label: 'Filter light never red', kinds: shaftBelt },
];
