import { RouterProvider } from 'react-router';
import { useAppSelector } from '../sync/store.ts';
import { aside } from '../ui/aside.tsx';
import { router } from './router.tsx';

const DoorPage = aside(async () => ({ default: (await import('../door/DoorPage.tsx')).DoorPage }));

/** The household's pages, or its door while this device is not let in. */
export function AtTheDoor() {
  const shut = useAppSelector((s) => s.outbox.shut);
  return shut ? <DoorPage /> : <RouterProvider router={router} />;
}
