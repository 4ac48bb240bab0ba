import {
  IconAdjustmentsHorizontal,
  IconBasket,
  IconBook2,
  IconCalendarEvent,
  IconFridge,
  IconHistory,
  IconHome,
  IconPackage,
  IconSoup,
  IconToolsKitchen2,
} from '@tabler/icons-react';
import { Link, NavLink, Outlet, useNavigation } from 'react-router';
import { useFrameQuery } from './api.ts';
import { putAside } from './outboxSlice.ts';
import { StoreStrip } from './StoreStrip.tsx';
import { useAppDispatch, useAppSelector } from './store.ts';
import { ToastBar } from './ToastBar.tsx';

const stations = [
  { to: '/', name: 'Today', Icon: IconHome },
  { to: '/recipes', name: 'Recipes', Icon: IconBook2 },
  { to: '/plan', name: 'Plan', Icon: IconCalendarEvent },
  { to: '/shop', name: 'Shop', Icon: IconBasket },
  { to: '/cook', name: 'Cook', Icon: IconSoup },
  { to: '/pack', name: 'Pack', Icon: IconPackage },
  { to: '/store', name: 'Store', Icon: IconFridge },
  { to: '/eat', name: 'Eat', Icon: IconToolsKitchen2 },
] as const;

function Rail() {
  return (
    <nav className="rail" aria-label="Stations">
      <svg
        className="hut"
        width="40"
        height="40"
        viewBox="0 0 40 40"
        fill="none"
        stroke="#fff"
        strokeWidth="2.4"
        strokeLinejoin="round"
        aria-hidden="true"
      >
        <path d="M5 18L20 6l15 12M9 16v17h22V16M9 25h22M16 33v-8M24 33v-8" />
      </svg>
      {stations.map(({ to, name, Icon }) => (
        <NavLink key={to} to={to} end={to === '/'} className={({ isActive }) => `st${isActive ? ' on' : ''}`}>
          <Icon size={22} stroke={1.8} aria-hidden />
          {name}
        </NavLink>
      ))}
      <div className="sep" />
      <NavLink to="/kitchen" className={({ isActive }) => `st${isActive ? ' on' : ''}`}>
        <IconAdjustmentsHorizontal size={22} stroke={1.8} aria-hidden />
        Kitchen
      </NavLink>
      <NavLink to="/history" className={({ isActive }) => `st${isActive ? ' on' : ''}`}>
        <IconHistory size={22} stroke={1.8} aria-hidden />
        History
      </NavLink>
    </nav>
  );
}

/** What the server would not keep, and what waits here: said plainly, never lost. */
function OutboxNotes() {
  const { waiting, refused, online } = useAppSelector((s) => s.outbox);
  const dispatch = useAppDispatch();
  return (
    <>
      {!online && waiting.length > 0 && (
        <div className="banner note warn" role="status">
          <b>Kept here:</b> {waiting.length === 1 ? `“${waiting[0]?.label}” waits` : `${waiting.length} entries wait`} on this device and{' '}
          {waiting.length === 1 ? 'is' : 'are'} sent when Tambo answers again. Go on working.
        </div>
      )}
      {refused.map((r) => (
        <div className="banner note bad row" role="alert" key={r.seq}>
          <div className="grow">
            <b>{r.label}:</b> {r.message}{' '}
            {r.refusals
              .slice(0, 3)
              .map((x) => `${x.path}: expected ${x.expected}, got ${x.got}`)
              .join('; ')}
          </div>
          <button type="button" className="btn o s" onClick={() => dispatch(putAside(r.seq))}>
            Put aside
          </button>
        </div>
      ))}
    </>
  );
}

/** Rail, store strip, the page, and what was just done. */
export function Frame() {
  const { data } = useFrameQuery(undefined, { pollingInterval: 30_000, skipPollingIfUnfocused: true });
  const navigation = useNavigation();
  return (
    <div className="frame">
      <a href="#main" className="btn skip">
        Skip to the page
      </a>
      <Rail />
      <header className="topstrip">
        {data ? (
          <>
            <Link to="/eat" className="supply" aria-label={`${data.supplies.dinners.count} dinners left, ${data.supplies.dinners.says}`}>
              <span className="big">{data.supplies.dinners.count}</span>
              <span className="unit">dinners</span>
              <small>{data.supplies.dinners.says.replace(/ \(.*/, '')}</small>
            </Link>
            <StoreStrip marks={data.strip} today={data.today} />
            <Link to="/eat?log=1" className="btn o">
              Log eaten
            </Link>
          </>
        ) : (
          <span className="quiet">Tambo</span>
        )}
      </header>
      <div>
        <OutboxNotes />
        <div id="main" tabIndex={-1} style={{ outline: 'none' }} aria-busy={navigation.state === 'loading'}>
          <Outlet />
        </div>
      </div>
      <ToastBar />
    </div>
  );
}
