import { bareContext, keptUnasked, readLogLine, spokenOf, suggestAbout } from '@bay/core/logbook';
import { computePlan, emptyInput, lineContextOf, thingsOf } from '@bay/core/plan';
import { stop } from './facts-file.ts';
import { lineShape, print } from './shown.ts';

/**
 * `./bay line TEXT [--today DATE]`: what the log bar takes a line for on a job of which nothing is known yet, as JSON: its kind,
 * the pieces it took, what it may belong to and how sure that is.
 */
const args = process.argv.slice(2);
const at = args.indexOf('--today');
const today = at < 0 ? new Date().toISOString().slice(0, 10) : (args[at + 1] ?? '');
if (!/^\d{4}-\d{2}-\d{2}$/.test(today)) stop('--today wants a date like 2026-11-27.');
const text = (at < 0 ? args : [...args.slice(0, at), ...args.slice(at + 2)]).join(' ');
if (text.trim() === '') stop('./bay line TEXT');
const plan = computePlan(emptyInput());
const context = { ...bareContext(today), ...lineContextOf({ records: [], units: [] }, plan, [], today) };
const draft = readLogLine(text, context);
const about = suggestAbout(spokenOf(text, draft), thingsOf(context));
const belongsTo = about && {
  key: about.thing.key,
  title: about.thing.title,
  sure: about.sure,
  kept: keptUnasked(draft.kind, about),
};
const shown = { ...draft, plainNote: draft.kind === 'note', belongsTo: belongsTo ?? null };
print(lineShape, shown);
