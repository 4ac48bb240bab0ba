import { Page } from '../ui/ui.tsx';
import { Button, Text, Title } from '@mantine/core';
import { Link, useRouteError } from 'react-router';

/** A page that is not there, or broke: what to do next. */
export function NotFound() {
  const error = useRouteError();
  const broke = error instanceof Error;
  return (
    <Page p={40}>
      <Title order={1}>{broke ? 'This page tripped' : 'Nothing stands here'}</Title>
      <Text inherit className="lead">
        {broke
          ? 'What you entered is kept on this device. Load the page again; if it happens again, go back to Today.'
          : 'The address leads nowhere. Nothing was changed.'}
      </Text>
      <p>
        <Button component={Link} to="/">
          Go to Today
        </Button>
      </p>
      {broke && <Text size="sm">{error.message}</Text>}
    </Page>
  );
}
