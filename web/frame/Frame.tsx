import { IconDots, IconSearch } from '@tabler/icons-react';
import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import { Link, Outlet, useLocation, useNavigation } from 'react-router';
import { clockOf } from '#core/kitchen';
import type { FrameAnswer } from '#core/queries';
import { useFrameQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { putRefusedAside } from '../sync/outbox.ts';
import { takeOver, useNewVersion } from '../sync/serviceWorker.ts';
import { BottomBar, Rail } from './Rail.tsx';
import { StoreStrip } from './StoreStrip.tsx';
import { useAppSelector } from '../sync/store.ts';
import { ToastBar } from './ToastBar.tsx';
import { useKeys } from './useKeys.ts';

const bringFinder = () => import('./Finder.tsx');
const Finder = lazy(bringFinder);
const KeysSheet = lazy(() => import('./KeysSheet.tsx'));
const DamagePage = lazy(() => import('./DamagePage.tsx').then((m) => ({ default: m.DamagePage })));
const MoreSheet = lazy(() => import('./MoreSheet.tsx'));

/** Quiet time after the first page stands. */
const finderAfterMs = 1500;

/** The server has said that the household's file is damaged. */
const saysDamaged = (error: unknown): boolean =>
  typeof error === 'object' &&
  error !== null &&
  'data' in error &&
  typeof error.data === 'object' &&
  error.data !== null &&
  'damage' in error.data;

type Open = 'find' | 'code' | 'keys' | 'more' | undefined;

/** What the household has to be asked about, by name. */
function ToSettle({ data }: { data: FrameAnswer | undefined }) {
  const { pathname } = useLocation();
  const [clash] = data?.clashes ?? [];
  const [broken] = data?.unreadable ?? [];
  const more = (data?.clashes.length ?? 0) + (data?.unreadable.length ?? 0) - 1;
  if ((!clash && !broken) || pathname === '/settle') return null;
  return (
    <div className="banner note warn row" role="status">
      <span className="grow">
        {clash ? (
          <>
            <b>{clash.name ?? clash.label}</b> was changed in two places; both versions are kept.
          </>
        ) : (
          <>
            <b>{broken?.name ?? 'Something'}</b> cannot be read; everything else goes on.
          </>
        )}
        {more > 0 && ` ${more} more to settle.`}
      </span>
      <Link className="btn o s" to="/settle">
        {clash ? 'Choose' : 'Look'}
      </Link>
    </div>
  );
}

/** No connection, what waits here, what the server would not keep, a newer version: said plainly, nothing lost. */
function Notes({ zone }: { zone: string }) {
  const { pending, refused, online, shut, notNow, asOf, notKept } = useAppSelector((s) => s.outbox);
  const newVersion = useNewVersion();
  return (
    <>
      {!online && (
        <div className="banner note warn" role="status">
          <b>{shut ? 'This device is not let in, kept here.' : (notNow ?? 'No connection, kept here.')}</b>{' '}
          {pending.length > 0
            ? `${pending.length === 1 ? `“${pending[0]?.label ?? ''}” waits` : `${pending.length} entries wait`} on this device and ${
                pending.length === 1 ? 'is' : 'are'
              } sent when Tambo ${shut ? 'lets it in' : 'answers'} again. `
            : ''}
          {asOf ? `You see the household of ${clockOf(asOf, zone)}${pending.length > 0 ? ' with what you entered since' : ''}. ` : ''}
          Go on working.
        </div>
      )}
      {notKept && (
        <div className="banner note bad" role="alert">
          <b>This device has no room left.</b> What you enter now waits in this page alone: leave it open until it is sent, or free some
          space.
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
          <button type="button" className="btn o s" onClick={() => void putRefusedAside(r.seq)}>
            Put aside
          </button>
        </div>
      ))}
      {newVersion && (
        <div className="banner note row" role="status">
          <span className="grow">A newer Tambo is here.</span>
          <button type="button" className="btn s" onClick={takeOver}>
            Take it
          </button>
        </div>
      )}
    </>
  );
}

/** Rail, store strip, the page, and what was just done. */
export function Frame() {
  const { data, error } = useFrameQuery(undefined, { pollingInterval: 30_000, skipPollingIfUnfocused: true });
  const navigation = useNavigation();
  const last = useAppSelector((s) => s.toast.last);
  const { undo } = useCommands();
  const [open, setOpen] = useState<Open>();
  const onFind = useCallback((byCode: boolean) => setOpen(byCode ? 'code' : 'find'), []);
  const onSheet = useCallback(() => setOpen('keys'), []);
  const onUndo = useCallback(() => {
    if (last) void undo(last);
  }, [last, undo]);
  // a household that has switched them off must not see them act before that is known
  const singleKeys = data?.household.singleKeys ?? false;
  useKeys({ singleKeys, busy: open !== undefined, onFind, onSheet, onUndo });
  useEffect(() => {
    // at hand before it is asked for, so that the first letters typed are not lost
    const timer = setTimeout(() => void bringFinder().catch(() => undefined), finderAfterMs);
    return () => clearTimeout(timer);
  }, []);
  const close = useCallback(() => setOpen(undefined), []);
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
            <button type="button" className="topfind" aria-label="Find (Ctrl K)" title="Find: Ctrl K" onClick={() => onFind(false)}>
              <IconSearch size={22} stroke={2} aria-hidden />
            </button>
            <Link to="/eat?log=1" className="btn o logbtn" title="Key e">
              Log eaten
            </Link>
            <button type="button" className="topmore" aria-label="More" onClick={() => setOpen('more')}>
              <IconDots size={26} stroke={2} aria-hidden />
            </button>
          </>
        ) : (
          <span className="quiet">Tambo</span>
        )}
      </header>
      <div>
        <Notes zone={data?.household.timeZone ?? 'UTC'} />
        <ToSettle data={data} />
        <div id="main" tabIndex={-1} style={{ outline: 'none' }} aria-busy={navigation.state === 'loading'}>
          {saysDamaged(error) ? (
            <Suspense fallback={null}>
              <DamagePage />
            </Suspense>
          ) : (
            <Outlet />
          )}
        </div>
      </div>
      <BottomBar />
      <ToastBar />
      {open && (
        <Suspense fallback={null}>
          {(open === 'find' || open === 'code') && <Finder byCode={open === 'code'} onClose={close} />}
          {open === 'keys' && <KeysSheet singleKeys={singleKeys} onClose={close} />}
          {open === 'more' && <MoreSheet onFind={() => onFind(false)} onClose={close} />}
        </Suspense>
      )}
    </div>
  );
}
