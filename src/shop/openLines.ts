import ICAL from 'ical.js';

// The library counts a line's 75 bytes without the space that begins what is folded, so that every further line had 76.
ICAL.foldLength = 74;

/** A calendar or a card as it is written: lines of at most 75 bytes without their ends (RFC 5545, 3.1; RFC 6350, 3.2). */
export const openLines = (component: ICAL.Component): string => `${component.toString()}\r\n`;
