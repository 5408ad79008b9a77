/** What is known of one station; several may hold at once. */
export interface StationState {
  /** Odds that it is at fault, 0 to 1. */
  odds?: number;
  proved?: boolean;
  ruledOut?: boolean;
  open?: boolean;
  /** Days since it was last replaced here. */
  ageDays?: number;
  /** The proposed check looks here. */
  looked?: boolean;
  /** What was seen on it when the machine came: how many marks. */
  marks?: number;
}

/** Age as it stands on the board: days, then months, then years. */
export function ageWords(days: number): string {
  if (days < 1) return 'new';
  if (days < 31) return `${days} d`;
  const months = Math.round(days / 30.44);
  return months < 24 ? `${months} mo` : `${(days / 365.25).toFixed(1)} y`;
}

/** A station and its state in a sentence, for those who hear the board instead of seeing it. */
export function stationSentence(label: string, state: StationState): string {
  const parts = [label];
  if (state.proved) parts.push('proved at fault');
  else if (state.ruledOut) parts.push('ruled out');
  else if (state.odds !== undefined && state.odds >= 0.01)
    parts.push(`${Math.round(state.odds * 100)} per cent suspected`);
  if (state.open) parts.push('open');
  if (state.looked) parts.push('the proposed check looks here');
  if (state.marks) parts.push(`marked on arrival${state.marks > 1 ? `, ${state.marks} marks` : ''}`);
  if (state.ageDays !== undefined) parts.push(`replaced ${ageWords(state.ageDays)} ago`);
  return parts.join(', ');
}
