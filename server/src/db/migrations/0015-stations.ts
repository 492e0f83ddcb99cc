/** What stood as text where stations are numbers now is kept in the note of the fact: nobody's reading is taken for a number that it may not be. */
const was = (
  [
    ['rec-hood-profile', 'profile-list', 'profile list'],
    ['rec-steering-shaft-path', 'stations', 'stations'],
  ] as const
)
  .flatMap(([fact, part, words]) =>
    ['fact', 'fact_version'].map(
      (table) =>
        `update ${table} set parts = parts - '${part}', typed = typed - '${part}', note = left(concat_ws('; ', note, '${words}: ' || (parts->>'${part}')), 600) where fact_id = '${fact}' and parts ? '${part}';`,
    ),
  )
  .join('\n');

export const up = was;
