import { Menu, UnstyledButton } from '@mantine/core';
import { shortTitle, type TaskView } from '#core/session';
import type { TaskActions } from './taskActions.ts';

/** The last ones that can be called back by mistake. */
const mostOffered = 6;

/** Tasks that were done or skipped last, to be taken up again; the newest first. */
export function TakenBack({
  tasks,
  actions,
  className,
}: {
  tasks: readonly TaskView[];
  actions: TaskActions;
  className: string | undefined;
}) {
  const closed = tasks
    .filter((t) => t.log?.state === 'done' || t.log?.state === 'skipped')
    .toSorted((a, b) => (b.log?.endedAt ?? '').localeCompare(a.log?.endedAt ?? ''))
    .slice(0, mostOffered);
  if (closed.length === 0) return null;
  return (
    <Menu position="top">
      <Menu.Target>
        <UnstyledButton className={className}>Take one up again</UnstyledButton>
      </Menu.Target>
      <Menu.Dropdown>
        {closed.map((t) => (
          <Menu.Item key={t.id} onClick={() => actions.reopen(t)}>
            {shortTitle(t.title)}, {t.log?.state === 'skipped' ? 'skipped' : 'done'}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  );
}
