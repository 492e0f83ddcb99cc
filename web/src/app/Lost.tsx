import { Link, useRouteError } from 'react-router';

/** Shown at an address that does not exist, and when a screen breaks. */
export function Lost() {
  const error = useRouteError();
  return (
    <div className="page">
      <h1>{error ? 'This screen broke' : 'Nothing at this address'}</h1>
      <p>
        {error
          ? 'What was saved is safe. Load the page again; if it breaks again, tell the manager what you did last.'
          : 'The address may be old, or the job was of another shop.'}
      </p>
      <p className="row-actions">
        <Link to="/" reloadDocument={Boolean(error)}>
          To the Floor
        </Link>
      </p>
    </div>
  );
}
