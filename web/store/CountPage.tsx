import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { countOf } from '#core/kitchen';
import { useCountQuery } from '../sync/api.ts';
import { Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { Count } from './Count.tsx';

/** First count: what is in the freezer already, a line a kind. */
export function CountPage() {
  const { data, error, refetch } = useCountQuery();
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  return (
    <Page maw={900}>
      <PageHead
        title="Count the freezer"
        lead={`Stand before it, or let somebody call out what is in there. ${countOf(data.packs, 'pack')} in store now.`}
      >
        <Button component={Link} variant="outline" to="/store">
          Done for now
        </Button>
      </PageHead>
      {data.places.length === 0 ? (
        <Empty title="No freezer yet" text="Say first where things stand: a freezer with its shelves or baskets.">
          <Button component={Link} to="/kitchen?tab=places">
            Add a freezer
          </Button>
        </Empty>
      ) : (
        <Count data={data} />
      )}
    </Page>
  );
}
