import { accessPath } from './accessCosts';
import { faultsOf } from './compileKind';
import { cautionsFor, checksOf, stationsOf, STRENGTHS, type Check, type Knowledge } from './knowledge';
import { isKey, stationKeys } from './ofStations';

/**
 * Dead ends in the knowledge, one sentence each; an empty list means that it can be used: every id that is named
 * exists, every complaint has a fault that explains it, every fault can be shown by a check, every check moves
 * something, every station has a fault, every reading covers its aspect, every caution is raised somewhere.
 * @param raisedElsewhere cautions that the counter, the rebuild, the waits or the proofs raise
 */
export function problemsIn(knowledge: Knowledge, raisedElsewhere: readonly string[] = []): string[] {
  const problems: string[] = [];
  const say = (text: string) => problems.push(text);
  const unique = (what: string, ids: string[]) => {
    for (const id of new Set(ids.filter((x, i) => ids.indexOf(x) !== i))) say(`${what} ${id} is there twice`);
  };
  unique(
    'kind',
    knowledge.kinds.map((k) => k.id),
  );
  unique(
    'check',
    knowledge.checks.map((c) => c.id),
  );
  unique(
    'fault',
    knowledge.faults.map((f) => f.id),
  );
  unique(
    'complaint',
    knowledge.complaints.map((c) => c.id),
  );
  unique(
    'caution',
    knowledge.cautions.map((c) => c.id),
  );
  const cautionIds = new Set(knowledge.cautions.map((c) => c.id));
  const named = (where: string, ids: string[] | undefined) =>
    ids?.filter((id) => !cautionIds.has(id)).forEach((id) => say(`${where} names caution ${id}, which is not there`));
  knowledge.complaints.forEach((c) => named(`complaint ${c.id}`, c.raises));
  for (const c of knowledge.complaints)
    for (const id of c.lessThan ?? [])
      if (!knowledge.complaints.some((x) => x.id === id))
        say(`complaint ${c.id} is less than ${id}, which is not there`);

  const checkIds = new Set(knowledge.checks.map((c) => c.id));
  for (const c of knowledge.complaints)
    for (const id of c.asksFirst ?? [])
      if (!checkIds.has(id)) say(`complaint ${c.id} asks for ${id} first, which is not there`);
  for (const c of knowledge.checks)
    if (c.madeAfter !== undefined && !checkIds.has(c.madeAfter))
      say(`check ${c.id} is made after ${c.madeAfter}, which is not there`);
  const anywhere = new Set(knowledge.kinds.flatMap((k) => [...stationsOf(k)]));
  for (const c of knowledge.checks)
    for (const key of c.how.flatMap(stationKeys))
      if (!isKey(key, anywhere)) say(`check ${c.id} speaks of ${key}, which no kind has`);

  for (const kind of knowledge.kinds) {
    const at = (what: string) => `${kind.id}: ${what}`;
    const stations = stationsOf(kind);
    const faults = faultsOf(knowledge, kind);
    const faultIds = new Set(faults.map((f) => f.id));
    const checks = checksOf(knowledge, kind.id);
    const complaints = knowledge.complaints.filter((c) => c.kinds.includes(kind.id));

    for (const station of stations)
      if (!faults.some((f) => f.kinds[kind.id]!.station === station)) say(at(`station ${station} has no fault`));
    for (const complaint of complaints)
      if (!faults.some((f) => f.complaints.some((c) => c.complaint === complaint.id)))
        say(at(`nothing explains complaint ${complaint.id}`));
    for (const id of Object.keys(kind.through ?? {}))
      if (!checks.some((c) => c.id === id) && !faults.some((f) => `repair:${f.id}` === id))
        say(at(`${id} is said to lie elsewhere, and is not there`));
    for (const check of checks) {
      named(at(`check ${check.id}`), check.cautions);
      try {
        accessPath(kind, check.access);
      } catch {
        say(at(`check ${check.id} needs access ${check.access}, which is not there`));
      }
      for (const what of check.aspects.flatMap((a) => a.sets ?? [])) {
        const [id, outcome] = what.split('=');
        const set = knowledge.checks.find((c) => c.id === id);
        if (!set?.aspects.some((a) => a.outcomes.some((o) => o.id === outcome)))
          say(at(`check ${check.id} sets ${what}, which is not there`));
      }
      for (const fault of check.putsRight ?? [])
        if (!knowledge.faults.some((f) => f.id === fault))
          say(at(`check ${check.id} puts right ${fault}, which is not there`));
      for (const line of check.how)
        if (/[{}]/.test(line)) say(at(`check ${check.id} says what cannot be read: ${line}`));
      const outcomes = check.aspects.flatMap((a) => a.outcomes.map((o) => o.id));
      unique(at(`check ${check.id}: outcome`), outcomes);
      for (const aspect of check.aspects) {
        if (aspect.outcomes.length < 2) say(at(`check ${check.id}/${aspect.id} has fewer than two outcomes`));
        for (const o of aspect.outcomes)
          if ((o.proves ?? []).filter((f) => faultIds.has(f)).length > 1)
            say(at(`check ${check.id}=${o.id} would prove two faults at once`));
        for (const o of aspect.outcomes) named(at(`check ${check.id}=${o.id}`), o.raises);
        if (aspect.reading)
          for (const o of aspect.outcomes)
            if (!aspect.reading.classes.some((c) => c.outcome === o.id))
              say(at(`check ${check.id}/${aspect.id}: no reading is ${o.id}`));
      }
      const sums = checkLeaks(check);
      if (sums) say(at(`check ${check.id}/${sums}: abnormal outcomes show too often with nothing wrong`));
      const moves = faults.some((f) => f.shows.some((s) => s.check === check.id && outcomes.includes(s.outcome)));
      if (!moves) say(at(`check ${check.id} moves nothing`));
    }
    for (const fault of faults) {
      if (!stations.has(fault.kinds[kind.id]!.station))
        say(at(`fault ${fault.id} stands at ${fault.kinds[kind.id]!.station}, which is not there`));
      try {
        accessPath(kind, fault.repair.access);
      } catch {
        say(at(`repair of ${fault.id} needs access ${fault.repair.access}, which is not there`));
      }
      for (const c of fault.complaints) {
        if (!knowledge.complaints.some((x) => x.id === c.complaint))
          say(`fault ${fault.id} names complaint ${c.complaint}, which is not there`);
        if (!(c.strength in STRENGTHS)) say(`fault ${fault.id}: ${String(c.strength)} is no strength`);
      }
      for (const c of fault.broughtOnBy ?? [])
        if (!knowledge.faults.some((f) => f.id === c.fault))
          say(`fault ${fault.id} is brought on by ${c.fault}, which is not there`);
      const shown = fault.shows.filter((s) =>
        checks.some((c) => c.id === s.check && c.aspects.some((a) => a.outcomes.some((o) => o.id === s.outcome))),
      );
      if (shown.length === 0) say(at(`no check shows fault ${fault.id}`));
    }
    for (const check of checks)
      for (const outcome of check.aspects.flatMap((a) => a.outcomes))
        for (const id of outcome.proves ?? [])
          if (!faultIds.has(id) && !knowledge.faults.some((f) => f.id === id))
            say(at(`check ${check.id}=${outcome.id} proves ${id}, which is not there`));
  }
  const states = knowledge.oneState.flat();
  unique('state of a part', states);
  for (const id of states) if (!knowledge.faults.some((f) => f.id === id)) say(`state ${id} is no fault`);
  for (const part of knowledge.oneState)
    for (const fault of knowledge.faults.filter((f) => part.includes(f.id)))
      for (const c of fault.broughtOnBy ?? [])
        if (part.includes(c.fault)) say(`${fault.id} is brought on by ${c.fault}, another state of the same part`);
  named('the bench', [...raisedElsewhere]);
  for (const fault of knowledge.faults) named(`repair of ${fault.id}`, fault.repair.cautions);
  const raised = new Set([
    ...raisedElsewhere,
    ...knowledge.complaints.flatMap((c) => c.raises ?? []),
    ...knowledge.faults.flatMap((f) =>
      Object.keys(f.kinds).flatMap((kind) => cautionsFor(knowledge, kind, f.repair.cautions ?? [])),
    ),
    ...knowledge.kinds.flatMap((kind) =>
      checksOf(knowledge, kind.id).flatMap((c) => [
        ...c.cautions,
        ...c.aspects.flatMap((a) => a.outcomes.flatMap((o) => o.raises ?? [])),
      ]),
    ),
  ]);
  for (const caution of knowledge.cautions)
    if (!raised.has(caution.id) && caution.madeBefore === undefined) say(`nothing raises caution ${caution.id}`);
  for (const caution of knowledge.cautions)
    if (caution.holds === 'power' && !canArise(knowledge, caution.id, raisedElsewhere))
      say(`caution ${caution.id} holds back power, and no complaint, answer or sign on arrival sets it in force`);
  for (const fault of knowledge.faults)
    for (const show of fault.shows) {
      const check = knowledge.checks.find((c) => c.id === show.check);
      if (!check) say(`fault ${fault.id} shows at check ${show.check}, which is not there`);
      else if (!check.aspects.some((a) => a.outcomes.some((o) => o.id === show.outcome)))
        say(`fault ${fault.id} shows ${show.check}=${show.outcome}, which is not there`);
    }
  return problems;
}

/** Whether a caution can come into force: a check that only shows its plate holds nothing back. */
function canArise(knowledge: Knowledge, caution: string, raisedElsewhere: readonly string[]): boolean {
  return (
    raisedElsewhere.includes(caution) ||
    knowledge.complaints.some((c) => c.raises?.includes(caution)) ||
    knowledge.checks.some((c) => c.aspects.some((a) => a.outcomes.some((o) => o.raises?.includes(caution))))
  );
}

/** The aspect whose abnormal outcomes are all but sure to show in a sound machine, if any. */
function checkLeaks(check: Check): string | undefined {
  return check.aspects.find((a) => a.outcomes.slice(1).reduce((sum, o) => sum + (a.leak?.[o.id] ?? 0), 0) > 0.7)?.id;
}
