import { criteria, scoreAll, turnOf } from '@bay/core/jobs';
import type { Measured } from '@bay/core/jobs';
import { draftOfPlan, measureChoice, planInputOf, computePlan } from '@bay/core/plan';
import { noTerms, riskInputOf, riskOf } from '@bay/core/money';
import * as jobs from '@bay/contract/jobs';
import * as money from '@bay/contract/money';
import { commandId } from '../server/src/testing/harness.ts';
import { demoJobs, demoManager, runShop } from '../e2e/shop.ts';
import { quantile, report, times } from './measure.ts';

/** What the phone call asks: engines weighed, the chance of a loss, the quote on paper. */
export async function choosing(): Promise<void> {
  const shop = await runShop(true);
  try {
    const manager = await demoManager(shop.server);
    const jobId = (await demoJobs(shop.server))('Corvane');
    const sheet = await manager.good(jobs.readJob, { params: { jobId } });
    const input = planInputOf({ jobId, ...sheet });
    const terms = { ...noTerms, hourRate: 7800, hourCost: 4700, priceUnit: 100, tax: 20 };

    // Six engines; each counts differently with every move of a slider, as a hand does it.
    const engine = (i: number) => ({
      id: String(i),
      name: `engine ${i}`,
      facts: new Map([
        ['eng-mass', { parts: { value: 120 + i * 11 }, typed: {}, source: 'measured' as const }],
        ['eng-power', { parts: { value: 90 + i * 13 }, typed: {}, source: 'measured' as const }],
      ]),
      cost: 50_000 + i * 9000,
      pieces: [],
      km: 100_000 + i * 7000,
      days: 3 + i,
      against: undefined,
    });
    const measuring = await times(12, () => Promise.resolve(measureChoice(input, engine(1), terms)));
    report({ name: 'an engine judged as if it were the one, median', value: quantile(measuring, 0.5), unit: 'ms' });
    const rows: Measured[] = Array.from({ length: 6 }, (_, i) => measureChoice(input, engine(i), terms));
    let turn = 0;
    const moved = await times(200, () => {
      const weights = { [criteria[(turn += 1) % criteria.length]!.id]: turn % 6 };
      scoreAll(rows, weights);
      return Promise.resolve(turnOf(rows, weights));
    });
    report({
      name: 'six engines weighed anew after a slider, p95',
      value: quantile(moved, 0.95),
      unit: 'ms',
      limit: 50,
    });

    const { number } = await manager.good(money.makeQuote, {
      params: { jobId },
      body: { commandId: commandId(), after: 0, despite: 'measured for the benchmark only' },
    });
    const paper = await times(10, async () => {
      const answer = await fetch(`${shop.server.url}/api/jobs/${jobId}/quotes/${number}/pdf`, {
        headers: { cookie: manager.cookie },
      });
      if (answer.status !== 200) throw new Error(`PDF: ${answer.status}`);
      await answer.arrayBuffer();
    });
    report({ name: 'a quote as PDF, server p95', value: quantile(paper, 0.95), unit: 'ms', limit: 2000 });

    const draft = draftOfPlan(computePlan(input), false, terms);
    const risk = riskInputOf(draft.lines, draft.estimate.causes, terms, { trials: 10_000 });
    const trials = await times(8, () => Promise.resolve(riskOf(risk)));
    report({
      name: `chance of a loss, 10,000 trials of ${risk.work.length + risk.parts.length} lines, p95`,
      value: quantile(trials, 0.95),
      unit: 'ms',
      limit: 500,
    });
  } finally {
    await shop.stop();
  }
}
