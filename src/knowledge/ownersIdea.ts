import { ideaBecame } from '@/core/diagnosis/ownersIdea';
import { faultById } from '.';

/** What became of the owner's own idea, by all that is known of faults. */
export const ideaAnswered = (idea: string, found: readonly string[], complaints: readonly string[]) =>
  ideaBecame(faultById, idea, found, complaints);
