import { LIES } from '@/core/strip/procedure';
import { fastenerWords, type Cup } from '@/core/strip/tray';
import type { Press } from '../job/useJob';
import type { StepView, StripView } from '@/shop/jobView/dto';

const TOOLS: Record<string, string> = {
  'cross-1': 'cross-head 1',
  'cross-2': 'cross-head 2',
  'flat-3': 'flat blade 3 mm',
  'flat-6': 'flat blade 6 mm',
  coin: 'coin or wide blade',
  hex: 'spanner or socket',
  pry: 'pry tool',
};

/** @example toolWords('t15') // → 'T15' */
export function toolWords(tool: string): string {
  if (tool === '') return 'bare hands';
  return TOOLS[tool] ?? (/^t\d+$/.test(tool) ? tool.toUpperCase() : tool);
}

export function lieWords(lie: StepView['lie']): string {
  return lie === null ? 'as it lies' : LIES[lie];
}

/** A step as it is read aloud: what, how it lies, with what, how many of what into which cup. */
export function spokenStep(step: StepView, cup: number | null): string {
  const pieces = step.fasteners.map(fastenerWords).join('; ');
  return [
    step.label,
    step.lie ? `Machine ${LIES[step.lie]}` : '',
    step.tool ? `Tool: ${toolWords(step.tool)}` : '',
    pieces && cup !== null ? `${pieces}: into cup ${cup}` : '',
    step.stays,
    step.photograph ? `Photograph: ${step.photograph}` : '',
  ]
    .filter(Boolean)
    .map((words) => words.replace(/[.]$/, ''))
    .join('. ');
}

/** The cup that a step fills, or will fill: the next free number. */
export function cupOf(cups: readonly Cup[], step: StepView, ahead: readonly StepView[] = []): number | null {
  const cup = cups.find((c) => c.step === step.id);
  if (cup) return cup.number;
  if (step.fasteners.length === 0) return null;
  const before = ahead.slice(0, ahead.indexOf(step)).filter((s) => s.fasteners.length > 0);
  return cups.length + before.length + 1;
}

/** Accesses that are open as a whole: something of them is behind, nothing ahead. */
export function openAccesses({ done, ahead }: Pick<StripView, 'done' | 'ahead'>): string[] {
  const left = new Set(ahead.map((s) => s.access));
  return [...new Set(done.map((s) => s.access))].filter((access) => !left.has(access));
}

/** What is behind and what is ahead once everything is saved that was pressed and is still on its way. */
export function asPressed(
  done: readonly StepView[],
  ahead: readonly StepView[],
  waiting: readonly Pick<Press, 'deed' | 'body'>[],
): { done: StepView[]; ahead: StepView[] } {
  let [behind, before] = [[...done], [...ahead]];
  for (const { deed, body } of waiting) {
    if (deed !== 'strip-step') continue;
    const step = [...behind, ...before].find((s) => s.id === body.step);
    if (!step) continue;
    behind = behind.filter((s) => s !== step);
    before = before.filter((s) => s !== step);
    if (body.state === 'done') behind.push({ ...step, pressed: true });
    else if (body.state === 'undone') before.unshift({ ...step, pressed: false });
  }
  return { done: behind, ahead: before };
}
