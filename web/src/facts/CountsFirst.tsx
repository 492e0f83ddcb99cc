import { useJob } from '../sheet/index.ts';

/** What the customer said counts first, where parts and ways are chosen; nothing while nobody asked. */
export function CountsFirst() {
  const { plan } = useJob();
  const first = plan.facts.get('cho-first')?.parts['value'];
  if (typeof first !== 'string') return null;
  return (
    <span className="tag" title="Asked of the customer when the car was booked in">
      first here: {first.replaceAll('-', ' ')}
    </span>
  );
}
