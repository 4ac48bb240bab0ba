import { createBrowserRouter, Navigate } from 'react-router';
import { Frame } from '../frame/Frame.tsx';
import { NotFound } from '../ui/NotFound.tsx';
import { TodayPage } from '../today/TodayPage.tsx';

const lazy =
  <K extends string>(load: () => Promise<Record<K, React.ComponentType>>, name: K) =>
  async () => ({ Component: (await load())[name] });

/** Every screen deep-links; all but Today are brought in when they are opened. */
export const router = createBrowserRouter([
  { path: '/worktop/:id', lazy: lazy(() => import('../cook/WorktopPage.tsx'), 'WorktopPage'), errorElement: <NotFound /> },
  {
    path: '/',
    element: <Frame />,
    errorElement: <NotFound />,
    children: [
      { index: true, element: <TodayPage /> },
      { path: 'recipes', lazy: lazy(() => import('../recipe/RecipesPage.tsx'), 'RecipesPage') },
      { path: 'recipes/new', lazy: lazy(() => import('../recipe/ImportPage.tsx'), 'ImportPage') },
      { path: 'recipes/feel', lazy: lazy(() => import('../recipe/FeelPage.tsx'), 'FeelPage') },
      { path: 'recipes/:id', lazy: lazy(() => import('../recipe/RecipePage.tsx'), 'RecipePage') },
      { path: 'plan', lazy: lazy(() => import('../plan/PlanPage.tsx'), 'PlanPage') },
      { path: 'plan/:id', lazy: lazy(() => import('../plan/PlanPage.tsx'), 'PlanPage') },
      { path: 'shop', lazy: lazy(() => import('../session/NextSession.tsx'), 'NextToShop') },
      { path: 'shop/:id', lazy: lazy(() => import('../shop/ShopPage.tsx'), 'ShopPage') },
      { path: 'cook', lazy: lazy(() => import('../session/NextSession.tsx'), 'NextToCook') },
      { path: 'worktop', lazy: lazy(() => import('../session/NextSession.tsx'), 'NextToWorktop') },
      { path: 'cook/:id', lazy: lazy(() => import('../cook/CookPage.tsx'), 'CookPage') },
      { path: 'pack', lazy: lazy(() => import('../session/NextSession.tsx'), 'NextToPack') },
      { path: 'pack/:id', lazy: lazy(() => import('../pack/PackPage.tsx'), 'PackPage') },
      { path: 'pack/:id/labels', lazy: lazy(() => import('../pack/LabelsPage.tsx'), 'LabelsPage') },
      { path: 'pack/:id/sheet', lazy: lazy(() => import('../pack/SheetPage.tsx'), 'SheetPage') },
      { path: 'store', lazy: lazy(() => import('../store/StorePage.tsx'), 'StorePage') },
      { path: 'store/count', lazy: lazy(() => import('../store/CountPage.tsx'), 'CountPage') },
      { path: 'welcome', lazy: lazy(() => import('../welcome/WelcomePage.tsx'), 'WelcomePage') },
      { path: 'p/:code', lazy: lazy(() => import('../store/PackDetailPage.tsx'), 'PackDetailPage') },
      { path: 'eat', lazy: lazy(() => import('../eat/EatPage.tsx'), 'EatPage') },
      { path: 'kitchen', lazy: lazy(() => import('../kitchen/KitchenPage.tsx'), 'KitchenPage') },
      { path: 'history', lazy: lazy(() => import('../store/HistoryPage.tsx'), 'HistoryPage') },
      { path: 'settle', lazy: lazy(() => import('../settle/SettlePage.tsx'), 'SettlePage') },
      { path: 'home', element: <Navigate to="/" replace /> },
      { path: '*', element: <NotFound /> },
    ],
  },
]);
