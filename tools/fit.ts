import { readFileSync } from 'node:fs';
import { computePlan } from '@bay/core/plan';
import { fitAnswer, fitProblem, problemOf, solved } from '@bay/contract/fit-problem';
import { factsFile, inputOf, readFile } from './facts-file.ts';
import { fitsShape, print } from './shown.ts';

/**
 * `./bay fit FACTS.json`: the verdicts alone, each with its sum, what it read and the weakest source of that. `./bay fit PROBLEM.json`,
 * with shapes and pairs in it: where the unit sits best among them (docs/formats/fit-problem.md).
 */
const name = process.argv[2];
const usage = './bay fit FACTS.json, or ./bay fit PROBLEM.json';

/** A file with shapes in it is a problem; whatever else is wrong with it is said of a problem then. */
function isProblem(): boolean {
  try {
    const json = JSON.parse(readFileSync(name ?? '', 'utf8')) as object;
    return ['pairs', 'bay', 'unit', 'pose'].some((key) => key in json);
  } catch {
    return false;
  }
}

if (isProblem()) {
  const file = readFile(name, fitProblem, usage);
  print(
    fitAnswer,
    solved(file, problemOf(file), () => performance.now()),
  );
} else {
  const plan = computePlan(inputOf(readFile(name, factsFile, usage)));
  const shown = plan.fits.map((l) => ({ id: l.def.id, title: l.def.title, ...l.verdict, knockOn: l.def.knockOn }));
  print(fitsShape, { fits: shown });
}
