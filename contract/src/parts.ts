import { z } from 'zod';
import { linkFates, linkSorts, partConditions } from '@bay/core/parts';
import { endpoint, id } from './endpoint.ts';
import { act, kind, text } from './kind.ts';
import { recordRow } from './record-row.ts';

export const partsKinds = {
  part: kind<'part'>(
    z.object({
      takeId: text(60),
      title: text(120).min(2, 'Name the part.'),
      condition: z.enum(partConditions),
      label: text(20),
      place: text(60),
      note: text(300).optional(),
    }),
  ),
  bag: kind<'bag'>(
    z.object({
      what: text(200).min(2, 'Say what is in the bag.'),
      label: text(20).min(1, 'Give the bag its number.'),
      place: text(80).optional(),
      back: act,
    }),
    { acts: ['back'], signed: 'once' },
  ),
  link: kind<'link'>(
    z.object({
      what: z.enum(linkSorts),
      name: text(80).min(2, 'Say what it is.'),
      from: text(80).optional(),
      to: text(80).optional(),
      label: text(20).optional(),
      fate: z.enum(linkFates),
      capped: z.boolean().optional(),
      cut: z.boolean().optional(),
      step: text(120).optional(),
      photoId: id.optional(),
      off: act,
      on: act,
      dropped: z.object({ why: text(200).min(3, 'Say why it counts no more.') }).optional(),
    }),
    { acts: ['off', 'on', 'dropped'] },
  ),
};

export const readPart = endpoint({
  method: 'get',
  path: '/api/parts/:partId',
  summary: 'One harvested part: what its label opens',
  access: 'look',
  params: z.object({ partId: id }),
  reply: z.object({ jobId: id, number: z.string(), carName: z.string(), record: recordRow }),
});
