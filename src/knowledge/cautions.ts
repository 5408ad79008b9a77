import type { Caution } from '@/core/diagnosis/knowledge';

/** Where the work can hurt someone. Common practice, no source; local codes win everywhere. */
export const cautions: Caution[] = [
  {
    id: 'unplug-before-opening',
    label: 'Plug out first',
    when: 'any cover comes off a mains machine',
    text: 'Plug out of the wall and in sight. Prove it: switch on once, nothing may happen.',
  },
  {
    id: 'roll-free-before-power',
    label: 'Turn the roll first',
    when: 'power goes to a head that has been jammed, tripped or is unknown',
    text: 'Turn the roll by hand first. Power on a jammed roll burns the motor.',
    holdsBackPower: true,
  },
  {
    id: 'live-measurement',
    label: 'Live measurement',
    when: 'volts are measured at the head, a switch or the hose',
    text: 'Competent persons only, as local rules say. Insulated probes, rated meter, one hand, residual-current protection, nothing wet. The roll can start.',
  },
  {
    id: 'bare-motor-run',
    label: 'Motor runs bare',
    when: 'a motor runs outside its housing',
    text: 'Clamp it: it spins out of the hand and can strike. Eye protection, seconds not minutes, stop at once if it screams.',
  },
  {
    id: 'wet-signs',
    label: 'Has been wet',
    when: 'mud, mildew, swollen filter, rust or water marks',
    text: 'Do not power up. A dry machine that has been wet is a shock and fire risk until it has been opened, dried and insulation-tested.',
    holdsBackPower: true,
  },
  {
    id: 'mould-dust',
    label: 'Mould or fine dust',
    when: 'mildew, fine dust, carbon dust or ash',
    text: 'Mask and gloves, outdoors or under extraction. Do not blow it round the room.',
  },
  {
    id: 'burnt-smell',
    label: 'Smells burnt',
    when: 'smell of burning, heat marks or smoke',
    text: 'Stays off. Find the cause, belt or motor, before the next power-up.',
    holdsBackPower: true,
  },
  {
    id: 'damaged-cord',
    label: 'Cord damaged',
    when: 'the cord is nicked, crushed, taped or loose in its grip',
    text: 'Out of use until the cord is replaced. No taped repair.',
    holdsBackPower: true,
  },
  {
    id: 'interlock-bypass',
    label: 'Bridged switch',
    when: 'a switch that stops the roll is to be bridged',
    text: 'Bridging removes a protection: the roll no longer stops upright. Replace it. Bridge only where local rules allow, by a competent person, with the owner’s written consent and a label on the machine.',
  },
  {
    id: 'earth-first',
    label: 'Earth before power',
    when: 'a machine with a protective earth has been rebuilt',
    text: 'Prove earth continuity before the first power-up. Limits and who may test: local rules win.',
  },
  {
    id: 'brittle-plastic',
    label: 'Brittle plastic',
    when: 'clips, ducts and thin shrouds come off',
    text: 'Ease evenly, never force. On closing: every screw started by hand, snug, not tight.',
  },
  {
    id: 'blades',
    label: 'Blade',
    when: 'hair is cut off a roll',
    text: 'Cut away from the hand along the groove of the roll. Wire wheel slow, bristle tips only, eye protection.',
  },
  {
    id: 'electrified-hose',
    label: 'Wires in the hose',
    when: 'the hose has conductors inside',
    text: 'Never soaked; nothing sharp or stiff pushed through.',
  },
  {
    id: 'dry-before-run',
    label: 'Dry before run',
    when: 'filters or parts were washed',
    text: 'A damp filter blocks, smells and wets the motor. Dry a full day unless weighed or felt dry.',
  },
  {
    id: 'lithium-pack',
    label: 'Battery swollen',
    when: 'a pack is swollen, dented, hot or leaking',
    text: 'Do not charge, press or open it. Outside, in a fire-safe box, to a proper collection point.',
    holdsBackPower: true,
  },
  {
    id: 'screws-missing',
    label: 'Screws missing',
    when: 'a machine comes with covers that somebody did not close',
    text: 'Covers may drop and bare live parts. Plug out, look for what else was left open before it is run.',
  },
  {
    id: 'loose-handle',
    label: 'Handle loose',
    when: 'the handle moves in its seat',
    text: 'Cord and switch wires run through it: look for chafed insulation, and push it home before anything is judged.',
  },
];
