import { ActionIcon, Menu } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { intentId, type Recipe, type Revision } from '#core/contract';
import type { RecipeAnswer } from '#core/queries';
import { now } from '../sync/clock.ts';
import { useCommands } from '../sync/commands.ts';
import { device, newId } from '../sync/device.ts';
import { SameAs } from './SameAs.tsx';

const files = [
  ['json', 'JSON-LD'],
  ['md', 'Markdown'],
  ['csv', 'a table (CSV)'],
] as const;

/** What is done with a recipe as a whole: copied, taken out, compared, merged, put away. */
export function RecipeMenu({ data }: { data: RecipeAnswer }) {
  const { recipe, revision } = data;
  const navigate = useNavigate();
  const { write } = useCommands();
  const [merging, setMerging] = useState(false);
  const copy = async (): Promise<void> => {
    const recipeId = newId();
    const id = intentId(device, 'copy', recipeId, revision.id);
    const copied: Revision = { ...revision, id, recipeId, name: `${revision.name}, another way`.slice(0, 120), madeAt: now() };
    const next: Recipe = {
      id: recipeId,
      revisionId: id,
      name: copied.name,
      kind: copied.kind,
      archived: false,
      ...(recipe.pictureId && { pictureId: recipe.pictureId }),
    };
    await write(
      [
        { table: 'recipe_revision', id, data: copied, was: null },
        { table: 'recipe', id: recipeId, data: next, was: null },
      ],
      `${copied.name} is in your recipes`,
    );
    await navigate(`/recipes/${recipeId}`);
  };
  const putAway = async (): Promise<void> => {
    await write([{ table: 'recipe', id: recipe.id, data: { ...recipe, archived: true }, was: recipe }], `${recipe.name} is put away`);
    await navigate('/recipes');
  };
  return (
    <>
      <Menu position="bottom-end" width={250}>
        <Menu.Target>
          <ActionIcon aria-label={`More for ${recipe.name}`}>
            <IconDots size={20} aria-hidden />
          </ActionIcon>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item onClick={() => void copy()}>Copy it</Menu.Item>
          <Menu.Item onClick={() => void navigate(`/recipes/${recipe.id}/revisions`)}>What changed, and when</Menu.Item>
          <Menu.Item onClick={() => void navigate(`/recipes/${recipe.id}/edit?again=1`)}>Read the method again</Menu.Item>
          <Menu.Item onClick={() => setMerging(true)}>It is the same as …</Menu.Item>
          <Menu.Divider />
          <Menu.Item onClick={() => window.print()}>Print it</Menu.Item>
          {files.map(([format, name]) => (
            <Menu.Item key={format} component="a" href={`/api/recipes/file/${format}?ids=${encodeURIComponent(recipe.id)}`} download>
              Save as {name}
            </Menu.Item>
          ))}
          <Menu.Divider />
          <Menu.Item color="tomato" onClick={() => void putAway()}>
            Put it away
          </Menu.Item>
        </Menu.Dropdown>
      </Menu>
      {merging && <SameAs recipe={recipe} revision={revision} onClose={() => setMerging(false)} />}
    </>
  );
}
