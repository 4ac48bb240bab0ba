import { Link } from 'react-router';
import { api } from '../sync/api.ts';
import { useAppDispatch } from '../sync/store.ts';
import { postJson } from '../sync/useJob.ts';

/** Once in a while: a copy that lies on the same disk is lost with it. */
export function TakeCopy() {
  const dispatch = useAppDispatch();
  const later = (): void =>
    void postJson('/backups/later', {}).then(
      () => dispatch(api.util.invalidateTags(['World'])),
      // without a connection it is simply asked again
      () => undefined,
    );
  return (
    <div className="note row wrap" role="status" style={{ marginTop: 16 }}>
      <span className="grow">
        All copies of your household lie on this one machine. Take one away to a stick or another computer: it takes a minute.
      </span>
      <Link className="btn o s" to="/kitchen?tab=data">
        Take a copy
      </Link>
      <button type="button" className="btn o s" onClick={later}>
        Later
      </button>
    </div>
  );
}
