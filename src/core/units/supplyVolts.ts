/** Nominal mains voltages, V (IEC 60038 and national practice: from memory). */
export const MAINS_VOLTS = [100, 110, 120, 127, 220, 230, 240];

/** Nominal voltages of packs and batteries in floor machines, V. Common practice, no source. */
export const PACK_VOLTS = [12, 14, 18, 21, 22, 24, 25, 29, 36, 48];

/** What a machine may be made for, V. */
export const SUPPLY_VOLTS = [...PACK_VOLTS, ...MAINS_VOLTS];
