import { Link } from 'react-router';
import { useAskForCopyLaterMutation } from '../sync/api.ts';

/** Once in a while: a copy that lies on the same disk is lost with it. */
export function TakeCopy() {
  // without a connection it is simply asked again
  const [later] = useAskForCopyLaterMutation();
  return (
    <div className="note row wrap" role="status" style={{ marginTop: 16 }}>
      <span className="grow">
        All copies of your household lie on this one machine. Take one away to a stick or another computer: it takes a minute.
      </span>
      <Link className="btn o s" to="/kitchen?tab=data">
        Take a copy
      </Link>
      <button type="button" className="btn o s" onClick={() => void later()}>
        Later
      </button>
    </div>
  );
}
