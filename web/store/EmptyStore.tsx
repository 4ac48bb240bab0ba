import { Button, Group } from '@mantine/core';
import { Link } from 'react-router';
import { Empty, Page, PageHead } from '../ui/ui.tsx';

/** A freezer with nothing in it that Tambo knows of: the two ways to fill it. */
export function EmptyStore() {
  return (
    <Page>
      <PageHead title="Store" />
      <Empty
        title="An empty freezer"
        text="Packs stand here once a session is packed and put away. Plan one, or fill what you cook tonight."
      >
        <Group justify="center">
          <Button component={Link} to="/store/count">
            Count what is in it
          </Button>
          <Button component={Link} variant="outline" to="/plan">
            Plan a session
          </Button>
        </Group>
      </Empty>
    </Page>
  );
}
