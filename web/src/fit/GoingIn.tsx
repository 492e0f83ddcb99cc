import { StepList } from '../pull/index.ts';

/** The unit goes in: what is done while its way is open, the lift, its place, and what closes the way again. */
export default function GoingIn() {
  return (
    <>
      <p className="quiet" style={{ marginBottom: 12 }}>
        What closes a way comes after all that needs it. A unit that came out again opens its lift and its place once
        more.
      </p>
      <StepList of="fit" />
      <p className="caution">
        Nobody under or beside a load that hangs. One caller, an agreed stop word; lift, stands and gear by their
        plates, the maker's manual first.
      </p>
    </>
  );
}
