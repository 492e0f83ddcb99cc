import { Checkbox } from '@mantine/core';
import { useState } from 'react';

/** What hardly can be is asked about; somebody may say that it is so, of just these questions and of no later ones. */
export function useItIsSo() {
  const [confirmed, confirm] = useState<readonly string[]>([]);
  return {
    /** Was it said of each of these? */
    said: (questions: readonly string[]): boolean => questions.every((q) => confirmed.includes(q)),
    say: (questions: readonly string[], yes: boolean): void => confirm(yes ? questions : []),
  };
}

export function ItIsSo({ questions, of }: { questions: readonly string[]; of: ReturnType<typeof useItIsSo> }) {
  if (questions.length === 0) return null;
  return (
    <div className="notice ochre-notice">
      {questions.map((question) => (
        <p key={question}>{question}</p>
      ))}
      <Checkbox
        mt="xs"
        label="It is so, however unusual"
        checked={of.said(questions)}
        onChange={(e) => of.say(questions, e.currentTarget.checked)}
      />
    </div>
  );
}
