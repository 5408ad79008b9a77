import { everyone } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { WriteNoteDto } from './dto';

/** Writes into the machine's book what was said, or a note of ours. */
export const writeNote = jobDeed({
  name: 'write-note',
  roles: everyone,
  summary: 'Write a note, or what was said, into the book',
  dto: WriteNoteDto,
  touches: [],
  async work({ tell }, dto) {
    const text = dto.text.trim();
    refuseIf(text === '' ? [{ field: 'text', message: 'Some words.' }] : []);
    tell(dto.what, text);
  },
});
