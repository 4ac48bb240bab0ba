import { createBrowserRouter, Navigate } from 'react-router';
import { Frame } from '../frame/Frame.tsx';
import { NotFound } from '../ui/NotFound.tsx';
import { TodayPage } from '../today/TodayPage.tsx';
import { preload } from './preload.ts';

const lazy =
  <K extends string>(load: () => Promise<Record<K, React.ComponentType>>, name: K) =>
  async () => ({ Component: (await load())[name] });

/** Every screen deep-links; all but Today are brought in when they are opened, their data at the same time. */
export const router = createBrowserRouter([
  {
    path: '/worktop/:id',
    loader: preload('frame', 'sessionCook'),
    lazy: lazy(() => import('../cook/WorktopPage.tsx'), 'WorktopPage'),
    errorElement: <NotFound />,
  },
  {
    path: '/',
    loader: preload('frame'),
    // the frame is asked for once; from then on it keeps itself fresh
    shouldRevalidate: () => false,
    element: <Frame />,
    errorElement: <NotFound />,
    children: [
      { index: true, loader: preload('today'), element: <TodayPage /> },
      { path: 'recipes', loader: preload('recipes'), lazy: lazy(() => import('../recipe/RecipesPage.tsx'), 'RecipesPage') },
      { path: 'recipes/new', loader: preload('write'), lazy: lazy(() => import('../write/ImportPage.tsx'), 'ImportPage') },
      { path: 'recipes/feel', loader: preload('recipes'), lazy: lazy(() => import('../recipe/FeelPage.tsx'), 'FeelPage') },
      { path: 'recipes/write', lazy: lazy(() => import('../write/EditorPage.tsx'), 'NewRecipePage') },
      { path: 'recipes/write/:id', loader: preload('write'), lazy: lazy(() => import('../write/EditorPage.tsx'), 'WritePage') },
      { path: 'recipes/away', lazy: lazy(() => import('../write/AwayPage.tsx'), 'AwayPage') },
      { path: 'recipes/:id/revisions', lazy: lazy(() => import('../write/RevisionsPage.tsx'), 'RevisionsPage') },
      { path: 'recipes/:id/edit', loader: preload('write', 'recipe'), lazy: lazy(() => import('../write/EditorPage.tsx'), 'EditPage') },
      { path: 'recipes/:id', loader: preload('recipe'), lazy: lazy(() => import('../recipe/RecipePage.tsx'), 'RecipePage') },
      { path: 'plan', loader: preload('recipes', 'sessions', 'kitchen'), lazy: lazy(() => import('../plan/PlanPage.tsx'), 'PlanPage') },
      {
        path: 'plan/:id',
        loader: preload('sessionPlan', 'recipes', 'sessions', 'kitchen'),
        lazy: lazy(() => import('../plan/PlanPage.tsx'), 'PlanPage'),
      },
      { path: 'shop', lazy: lazy(() => import('../session/NextSession.tsx'), 'NextToShop') },
      { path: 'shop/:id', loader: preload('sessionShop', 'sessions'), lazy: lazy(() => import('../shop/ShopPage.tsx'), 'ShopPage') },
      { path: 'cook', lazy: lazy(() => import('../session/NextSession.tsx'), 'NextToCook') },
      { path: 'worktop', lazy: lazy(() => import('../session/NextSession.tsx'), 'NextToWorktop') },
      { path: 'cook/:id', loader: preload('sessionCook', 'sessions'), lazy: lazy(() => import('../cook/CookPage.tsx'), 'CookPage') },
      { path: 'pack', lazy: lazy(() => import('../session/NextSession.tsx'), 'NextToPack') },
      {
        path: 'pack/:id',
        loader: preload('sessionPack', 'sessions', 'kitchen'),
        lazy: lazy(() => import('../pack/PackPage.tsx'), 'PackPage'),
      },
      { path: 'pack/:id/labels', loader: preload('labels', 'sessions'), lazy: lazy(() => import('../pack/LabelsPage.tsx'), 'LabelsPage') },
      { path: 'pack/:id/sheet', loader: preload('sessionPack', 'labels'), lazy: lazy(() => import('../pack/SheetPage.tsx'), 'SheetPage') },
      { path: 'store', loader: preload('store'), lazy: lazy(() => import('../store/StorePage.tsx'), 'StorePage') },
      { path: 'store/count', loader: preload('count'), lazy: lazy(() => import('../store/CountPage.tsx'), 'CountPage') },
      { path: 'welcome', loader: preload('kitchen', 'count'), lazy: lazy(() => import('../welcome/WelcomePage.tsx'), 'WelcomePage') },
      { path: 'p/:code', loader: preload('pack'), lazy: lazy(() => import('../store/PackDetailPage.tsx'), 'PackDetailPage') },
      { path: 'scan', lazy: lazy(() => import('../scan/ScanPage.tsx'), 'ScanPage') },
      { path: 'eat', loader: preload('eat'), lazy: lazy(() => import('../eat/EatPage.tsx'), 'EatPage') },
      { path: 'kitchen', loader: preload('kitchen'), lazy: lazy(() => import('../kitchen/KitchenPage.tsx'), 'KitchenPage') },
      { path: 'history', lazy: lazy(() => import('../store/HistoryPage.tsx'), 'HistoryPage') },
      { path: 'settle', lazy: lazy(() => import('../settle/SettlePage.tsx'), 'SettlePage') },
      { path: 'home', element: <Navigate to="/" replace /> },
      { path: '*', element: <NotFound /> },
    ],
  },
]);
