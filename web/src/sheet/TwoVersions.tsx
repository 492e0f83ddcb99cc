import { Button } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { Trouble } from '../ui/index.ts';

import { linesOfData } from './data-words.ts';
import type { Data } from './data-words.ts';

function Version({ title, data }: { title: string; data: Data }) {
  return (
    <div className="panel">
      <h3>{title}</h3>
      <table className="data">
        <tbody>
          {linesOfData(data).map(([k, v]) => (
            <tr key={k}>
              <td className="quiet">{k}</td>
              <td style={{ overflowWrap: 'anywhere' }}>{v}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Two people wrote the same: both versions side by side, and a choice. Whichever is not taken stays in the book. */
export function TwoVersions({
  theirsBy,
  theirs,
  mine,
  onMine,
  onTheirs,
}: {
  theirsBy: string;
  theirs: Data;
  mine: Data;
  onMine: () => Promise<unknown>;
  onTheirs: () => Promise<unknown>;
}) {
  const choosing = useMutation({
    mutationFn: (choice: 'mine' | 'theirs') => (choice === 'mine' ? onMine() : onTheirs()),
  });
  return (
    <>
      <p>Both versions are kept in the logbook. Which one counts from here?</p>
      <div className="grid-2" style={{ marginTop: 10 }}>
        <Version title={`What ${theirsBy} saved`} data={theirs} />
        <Version title="What you typed" data={mine} />
      </div>
      <Trouble of={choosing} />
      <div className="row-actions">
        <Button loading={choosing.isPending && choosing.variables === 'mine'} onClick={() => choosing.mutate('mine')}>
          Mine counts
        </Button>
        <Button
          variant="default"
          loading={choosing.isPending && choosing.variables === 'theirs'}
          onClick={() => choosing.mutate('theirs')}
        >
          Theirs counts
        </Button>
      </div>
    </>
  );
}
