import type { Person } from '../access/person';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import type { WriteNoteDto } from './dto';

/** Writes into the machine's book what was said, or a note of ours. */
export function writeNote(person: Person, jobId: number, dto: WriteNoteDto) {
  return jobDeed('write-note', person, jobId, dto, async ({ tell }) => {
    const text = dto.text.trim();
    refuseIf(text === '' ? [{ field: 'text', message: 'Some words.' }] : []);
    await tell(dto.what, text);
  });
}
