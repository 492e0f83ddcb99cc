import { computePlan } from '@bay/core/plan';
import { factsFile, inputOf, readFile } from './facts-file.ts';
import { fitsShape, print } from './shown.ts';

/** `./bay fit FACTS.json`: the verdicts alone, each with its sum, what it read and the weakest source of that. */
const file = readFile(process.argv[2], factsFile, './bay fit FACTS.json');
const plan = computePlan(inputOf(file));
const shown = plan.fits.map((l) => ({ id: l.def.id, title: l.def.title, ...l.verdict, knockOn: l.def.knockOn }));
print(fitsShape, { fits: shown });
