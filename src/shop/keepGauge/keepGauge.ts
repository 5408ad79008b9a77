import { insertGaugeResult, takeBackGaugeResult } from '@/data/gauges';
import { putMeasuredDue } from '@/data/plans';
import { planItem } from '@/knowledge/plans';
import { bench } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refreshPlans } from '../plans/refreshPlans';
import { refuseIf } from '../problem';
import { answerChecks } from '../recordFindings/recordFindings';
import { proveItem } from '../recordProof/recordProof';
import { beginWait } from '../startWait/startWait';
import { gaugeNamed, reckoned } from '../gauges/gauges';
import { KeepGaugeDto, TakeBackGaugeDto } from './dto';

/**
 * Keeps a gauge's result with the job: inputs as typed, the answer reckoned anew on the server, and the method's version.
 * On wish it answers a check of the finder, starts a wait, or sets the date of a plan in the same breath. Refused at its field
 * for a use that this result or this kind of machine does not have.
 */
export const keepGauge = jobDeed({
  name: 'keep-gauge',
  roles: bench,
  summary: 'Keep a gauge’s result with the job, and use it',
  dto: KeepGaugeDto,
  async work(scene, dto) {
    const { db, jobId, person, tell } = scene;
    const gauge = gaugeNamed(dto.gauge);
    const answer = await reckoned(db, gauge, dto.inputs);
    const { feeds = {} } = answer;
    const use = [...new Set(dto.use)];
    const lacking = use.filter((u) => feeds[u] === undefined);
    refuseIf(lacking.map((u) => ({ field: 'use', message: `This result is no ${u}.` })));
    // A file stands beside the result: the job is read often, and the file only when the result is opened again.
    const isFile = ([name]: [string, unknown]) => gauge.fields[name]?.sort === 'file';
    const all = Object.entries(dto.inputs);
    const inputs = Object.fromEntries(all.filter((e) => !isFile(e)));
    const files = Object.fromEntries(
      all.flatMap(([name, value]) =>
        isFile([name, value]) && typeof value === 'string' && value !== '' ? [[name, value]] : [],
      ),
    );
    const { id, version } = gauge;
    const row = { job_id: jobId, gauge: id, method_version: version, inputs, answer, person_id: person.id };
    await insertGaugeResult(db, row, files);
    tell('reading', `${gauge.label}: ${answer.says}`);
    if (use.includes('finding')) await answerChecks(scene, [feeds.finding!]);
    if (use.includes('wait')) await beginWait(scene, { ...feeds.wait!, hours: Math.ceil(feeds.wait!.hours * 10) / 10 });
    if (use.includes('proof')) await proveItem(scene, { tester: person.name, ...feeds.proof! });
    if (use.includes('plan')) await setPlan(scene, feeds.plan!);
  },
});

async function setPlan({ db, machineId, kind, tell }: DeedScene, plan: { item: string; dueOn: string }) {
  const item = planItem(plan.item);
  if (!item?.stations[kind.id]) return refuseIf([{ field: 'use', message: 'This kind of machine has no such plan.' }]);
  await putMeasuredDue(db, machineId, item.id, plan.dueOn);
  await refreshPlans(db, [machineId]);
  tell('note', `${item.label}: due ${plan.dueOn}, by measured wear.`);
}

/** Takes a kept result back: it is no longer shown, and stays in the audit. */
export const takeBackGauge = jobDeed({
  name: 'take-back-gauge',
  roles: bench,
  summary: 'Take a kept result back',
  dto: TakeBackGaugeDto,
  async work({ db, jobId, tell }, dto) {
    const done = await takeBackGaugeResult(db, jobId, dto.result);
    refuseIf(done ? [] : [{ field: 'result', message: 'It is not kept with this job.' }]);
    tell('note', 'Took a measured result back.');
  },
});
