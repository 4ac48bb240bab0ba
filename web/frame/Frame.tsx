import { ActionIcon, AppShell, Box, Button, Group, Text } from '@mantine/core';
import { IconDots, IconSearch } from '@tabler/icons-react';
import { useCallback, useEffect, useState, type ComponentType } from 'react';
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
import { useKeys } from './useKeys.ts';
import { aside } from '../ui/aside.tsx';
import { Note } from '../ui/Note.tsx';
import c from './Frame.module.css';

const bringFinder = () => import('./Finder.tsx');
const Finder = aside(bringFinder);
const KeysSheet = aside(() => import('./KeysSheet.tsx'));
const DamagePage = aside(async () => ({ default: (await import('./DamagePage.tsx')).DamagePage }));
/** The computer's own pages have one address for ever. */
const byName = location.protocol === 'https:';
const Moved = aside(() => import('./Moved.tsx'));
const MoreSheet = aside(() => import('./MoreSheet.tsx'));

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
    <Note tone="warn" m={{ base: '10px 14px 0', sm: '12px 24px 0' }} role="status">
      <Group wrap="nowrap">
        <Text className="grow" span inherit>
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
        </Text>
        <Button component={Link} variant="outline" size="sm" to="/settle">
          {clash ? 'Choose' : 'Look'}
        </Button>
      </Group>
    </Note>
  );
}

/** No connection, what waits here, what the server would not keep, a newer version: said plainly, nothing lost. */
function Notes({ zone }: { zone: string }) {
  const { pending, refused, online, shut, notNow, asOf, notKept } = useAppSelector((s) => s.outbox);
  const newVersion = useNewVersion();
  return (
    <>
      {!online && (
        <Note tone="warn" m={{ base: '10px 14px 0', sm: '12px 24px 0' }} role="status">
          <b>{shut ? 'This device is not let in, kept here.' : (notNow ?? 'No connection, kept here.')}</b>{' '}
          {pending.length > 0
            ? `${pending.length === 1 ? `“${pending[0]?.label ?? ''}” waits` : `${pending.length} entries wait`} on this device and ${
                pending.length === 1 ? 'is' : 'are'
              } sent when Tambo ${shut ? 'lets it in' : 'answers'} again. `
            : ''}
          {asOf ? `You see the household of ${clockOf(asOf, zone)}${pending.length > 0 ? ' with what you entered since' : ''}. ` : ''}
          Go on working.
        </Note>
      )}
      {notKept && (
        <Note tone="bad" m={{ base: '10px 14px 0', sm: '12px 24px 0' }} role="alert">
          <b>This device has no room left.</b> What you enter now waits in this page alone: leave it open until it is sent, or free some
          space.
        </Note>
      )}
      {refused.map((r) => (
        <Note tone="bad" m={{ base: '10px 14px 0', sm: '12px 24px 0' }} role="alert" key={r.seq}>
          <Group wrap="nowrap">
            <Box className="grow">
              <b>{r.label}:</b> {r.message}{' '}
              {r.refusals
                .slice(0, 3)
                .map((x) => `${x.path}: expected ${x.expected}, got ${x.got}`)
                .join('; ')}
            </Box>
            <Button variant="outline" size="sm" onClick={() => void putRefusedAside(r.seq)}>
              Put aside
            </Button>
          </Group>
        </Note>
      ))}
      {newVersion && (
        <Note m={{ base: '10px 14px 0', sm: '12px 24px 0' }} role="status">
          <Group wrap="nowrap">
            <Text className="grow" span inherit>
              A newer Tambo is here.
            </Text>
            <Button size="sm" onClick={takeOver}>
              Take it
            </Button>
          </Group>
        </Note>
      )}
    </>
  );
}

/** The notices' part once it is wanted; without a connection the page goes on without it, and the next notice asks again. */
function useNotices(wanted: boolean): ComponentType | undefined {
  const [part, setPart] = useState<{ Notices: ComponentType }>();
  useEffect(() => {
    if (!wanted || part) return;
    import('./Notices.tsx').then(
      (m) => setPart({ Notices: m.default }),
      () => undefined,
    );
  }, [wanted, part]);
  return part?.Notices;
}

/** Rail, store strip, the page, and what was just done. */
export function Frame() {
  const { data, error } = useFrameQuery(undefined, { pollingInterval: 30_000, skipPollingIfUnfocused: true });
  const navigation = useNavigation();
  const last = useAppSelector((s) => s.toast.last);
  const { undo } = useCommands();
  const noticed = useAppSelector((s) => s.toast.current !== undefined);
  /** The first page stands: what is not seen on it may come. */
  const [quiet, setQuiet] = useState(false);
  const Notices = useNotices(quiet || noticed);
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
    const timer = setTimeout(() => {
      void bringFinder().catch(() => undefined);
      setQuiet(true);
    }, finderAfterMs);
    return () => clearTimeout(timer);
  }, []);
  const close = useCallback(() => setOpen(undefined), []);
  return (
    <AppShell
      layout="alt"
      padding={0}
      transitionDuration={0}
      header={{ height: { base: 58, sm: 66 } }}
      navbar={{ width: 84, breakpoint: 'sm', collapsed: { mobile: true } }}
      footer={{ height: { base: 'calc(68px + env(safe-area-inset-bottom))', sm: 0 } }}
    >
      <Button component="a" href="#main" className={c.skip}>
        Skip to the page
      </Button>
      <Rail />
      <AppShell.Header className={c.top}>
        {data ? (
          <>
            <Link to="/eat" className={c.supply} aria-label={`${data.supplies.dinners.count} dinners left, ${data.supplies.dinners.says}`}>
              <Text span variant="big" fz={{ base: 22, sm: 24 }}>
                {data.supplies.dinners.count}
              </Text>
              <Text span variant="unit">
                dinners
              </Text>
              <small>{data.supplies.dinners.says.replace(/ \(.*/, '')}</small>
            </Link>
            <StoreStrip marks={data.strip} today={data.today} />
            <ActionIcon variant="subtle" visibleFrom="sm" aria-label="Find (Ctrl K)" title="Find: Ctrl K" onClick={() => onFind(false)}>
              <IconSearch size={22} stroke={2} aria-hidden />
            </ActionIcon>
            <Button component={Link} variant="outline" to="/eat?log=1" visibleFrom="sm" title="Key e">
              Log eaten
            </Button>
            <ActionIcon variant="subtle" hiddenFrom="sm" aria-label="More" onClick={() => setOpen('more')}>
              <IconDots size={26} stroke={2} aria-hidden />
            </ActionIcon>
          </>
        ) : (
          <Text span inherit c="dimmed">
            Tambo
          </Text>
        )}
      </AppShell.Header>
      <AppShell.Main id="main" tabIndex={-1} aria-busy={navigation.state === 'loading'}>
        <Notes zone={data?.household.timeZone ?? 'UTC'} />
        {byName && <Moved />}
        <ToSettle data={data} />
        {saysDamaged(error) ? <DamagePage /> : <Outlet />}
      </AppShell.Main>
      <BottomBar />
      {Notices && <Notices />}
      {open && (
        <>
          {(open === 'find' || open === 'code') && <Finder byCode={open === 'code'} onClose={close} />}
          {open === 'keys' && <KeysSheet singleKeys={singleKeys} onClose={close} />}
          {open === 'more' && <MoreSheet onFind={() => onFind(false)} onClose={close} />}
        </>
      )}
    </AppShell>
  );
}
