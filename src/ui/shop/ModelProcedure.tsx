'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { changedBy, type Change } from '@/core/strip/changed';
import { knowledge } from '@/knowledge';
import { procedures } from '@/knowledge/kinds';
import type { ProcedureBook } from '@/shop/procedures/dto';
import { lieWords, toolWords } from '../strip/stepWords';
import { instantAt } from '../parts/instants';
import { Empty, Notice } from '../parts/Notice';
import { send, type Refusal } from '../parts/post';
import { changeWords } from './changeWords';

/** How a model differs from its kind: what was written when, and what another shop has found, looked at before it counts. */
export function ModelProcedure({ initial, mayPut, zone }: { initial: ProcedureBook; mayPut: boolean; zone: string }) {
  const [book, setBook] = useState(initial);
  const [read, setRead] = useState<{ name: string; changes: Change[] } | null>(null);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const kind = knowledge.kinds.find((k) => k.id === book.kind)!;
  const own = procedures[book.kind]!;
  const model = book.model!;

  const look = async (file: File | undefined) => {
    setRefusal(null);
    setRead(null);
    if (!file) return;
    const told = await readProcedure(file, book.kind);
    if ('problem' in told) setRefusal({ status: 400, title: told.problem, fields: [] });
    else setRead({ name: file.name, changes: told.changes });
    if (input.current) input.current.value = '';
  };
  const put = async (changes: Change[], why: string) => {
    setBusy(true);
    const answer = await send<ProcedureBook>('POST', `/api/v1/models/${model.id}/put-procedure`, {
      key: crypto.randomUUID(),
      version: book.version,
      changes,
      why,
    });
    setBusy(false);
    if (!answer.ok) return setRefusal(answer.refusal);
    setBook(answer.value);
    setRead(null);
    setRefusal(null);
  };

  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 900 }}>
      <Box>
        <Typography component="h1" variant="h2">
          {model.maker} {model.name}: the way in
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {kind.label}.{' '}
          {book.version === 0
            ? 'As its kind: nothing was written down for this model.'
            : `Version ${book.version}, ${book.by}, ${instantAt(book.at!, zone)}${book.why ? `: ${book.why}` : ''}`}
        </Typography>
      </Box>
      <Box component="section" aria-label="What differs">
        <Typography component="h2" variant="h3">
          What differs from its kind
        </Typography>
        {book.changes.length === 0 && <Empty>Nothing. At a step in Strip one press remembers what is otherwise.</Empty>}
        <Changes changes={book.changes} own={own} problems={book.problems} />
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button
          component="a"
          href={`/api/v1/models/${model.id}/procedure.json`}
          download={`procedure-${model.id}.json`}
        >
          Take it out as a file
        </Button>
        {mayPut && (
          <>
            <input
              ref={input}
              type="file"
              accept="application/json,.json"
              hidden
              aria-label="File of a procedure"
              onChange={(e) => void look(e.target.files?.[0])}
            />
            <Button disabled={busy} onClick={() => input.current?.click()}>
              Look at a file
            </Button>
            {book.changes.length > 0 && (
              <Button variant="text" color="inherit" disabled={busy} onClick={() => void put([], 'As its kind again.')}>
                As its kind again
              </Button>
            )}
          </>
        )}
      </Box>
      {refusal && (
        <Notice live title={refusal.title}>
          {refusal.fields.map((f) => (
            <Typography key={f.field} variant="body2">
              {f.field}: {f.message}
            </Typography>
          ))}
        </Notice>
      )}
      {read && (
        <Box
          component="section"
          aria-label="What the file says"
          sx={{ border: '1px solid', borderColor: 'divider', p: 1.5 }}
        >
          <Typography component="h2" variant="h3">
            {read.name} says
          </Typography>
          {read.changes.length === 0 && <Empty>That this model is as its kind.</Empty>}
          <Changes changes={read.changes} own={own} problems={changedBy(own, read.changes).problems} />
          <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
            <Button
              variant="contained"
              disabled={busy || changedBy(own, read.changes).problems.length > 0}
              onClick={() => void put(read.changes, `From ${read.name}`.slice(0, 300))}
            >
              Take it over
            </Button>
            <Button disabled={busy} onClick={() => setRead(null)}>
              Leave it
            </Button>
          </Box>
        </Box>
      )}
      <Box component="section" aria-label="Steps">
        <Typography component="h2" variant="h3">
          Its steps
        </Typography>
        {kind.access.map((access) => (
          <Box key={access.id} component="details" sx={{ '& summary': { cursor: 'pointer', minHeight: 32, py: 0.5 } }}>
            <Typography component="summary" variant="body2" sx={{ fontWeight: 600 }}>
              {access.label}
            </Typography>
            <Box component="ol" sx={{ m: 0, pl: 3 }}>
              {book.steps
                .filter((s) => s.access === access.id)
                .map((s) => (
                  <Typography component="li" variant="body2" key={s.id}>
                    {s.label}{' '}
                    <Box component="span" sx={{ color: 'text.secondary' }}>
                      ({lieWords(s.lie)}, {toolWords(s.tool)}; back: {s.back.label})
                    </Box>
                  </Typography>
                ))}
            </Box>
          </Box>
        ))}
      </Box>
      {book.versions.length > 1 && (
        <Box component="section" aria-label="Versions">
          <Typography component="h2" variant="h3">
            What was written before
          </Typography>
          {book.versions.map((v) => (
            <Typography key={v.version} variant="body2">
              {v.version}: {v.changes} change{v.changes === 1 ? '' : 's'}, {v.by || 'somebody'}, {instantAt(v.at, zone)}
              {v.why && `: ${v.why}`}
            </Typography>
          ))}
        </Box>
      )}
      <Link href="/shop/models">Back to the models</Link>
    </Box>
  );
}

function Changes({
  changes,
  own,
  problems,
}: {
  changes: readonly Change[];
  own: (typeof procedures)[string];
  problems: ProcedureBook['problems'];
}) {
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
      {changes.map((change, i) => (
        <Typography component="li" variant="body2" key={`${change.sort} ${change.step}`}>
          {changeWords(change, own)}
          {problems
            .filter((p) => p.change === i)
            .map((p) => (
              <Box component="span" key={p.message} sx={{ color: 'error.main' }}>
                {' '}
                It fits nothing here: {p.message}
              </Box>
            ))}
        </Typography>
      ))}
    </Box>
  );
}

/** The changes that a file holds, or why it cannot be read. What is wrong inside of a change the server tells. */
async function readProcedure(file: File, kind: string): Promise<{ changes: Change[] } | { problem: string }> {
  let told: unknown;
  try {
    told = JSON.parse(await file.text());
  } catch {
    return { problem: `${file.name} is no JSON.` };
  }
  const book = told as Partial<ProcedureBook> | null;
  if (book?.form !== 'grit-keeper/procedure/1' || !Array.isArray(book.changes))
    return { problem: `${file.name} is no procedure of a model.` };
  if (book.kind !== kind) return { problem: `It is for another kind of machine: ${String(book.kind).slice(0, 60)}.` };
  return { changes: book.changes };
}
