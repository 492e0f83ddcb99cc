import { createBrowserRouter, Navigate } from 'react-router';
import { Frame } from './Frame.tsx';
import { Home } from './Home.tsx';
import { Lost } from './Lost.tsx';

export const router = createBrowserRouter([
  {
    path: '/c/:token',
    lazy: async () => ({ Component: (await import('../handover/CustomerPage.tsx')).CustomerPage }),
    errorElement: <Lost />,
  },
  {
    path: '/',
    element: <Frame />,
    errorElement: <Lost />,
    children: [
      { index: true, element: <Home /> },
      { path: 'wall', lazy: async () => ({ Component: (await import('../floor/WallPage.tsx')).WallPage }) },
      { path: 'book-in', lazy: async () => ({ Component: (await import('../jobs/BookInPage.tsx')).BookInPage }) },
      { path: 'jobs/:jobId', element: <Navigate to="scope" replace /> },
      { path: 'jobs/:jobId/:view', lazy: async () => ({ Component: (await import('./JobPage.tsx')).JobPage }) },
      { path: 'bench', lazy: async () => ({ Component: (await import('../crew/BenchPage.tsx')).BenchPage }) },
      { path: 'waiting', lazy: async () => ({ Component: (await import('../crew/WaitingPage.tsx')).WaitingPage }) },
      { path: 'logbook', lazy: async () => ({ Component: (await import('../logbook/LogbookPage.tsx')).LogbookPage }) },
      { path: 'tried', lazy: async () => ({ Component: (await import('../fit/TriedPage.tsx')).TriedPage }) },
      { path: 'store', lazy: async () => ({ Component: (await import('../parts/StorePage.tsx')).StorePage }) },
      { path: 'orders', lazy: async () => ({ Component: (await import('../orders/OrdersPage.tsx')).OrdersPage }) },
      { path: 'units', lazy: async () => ({ Component: (await import('../jobs/UnitsPage.tsx')).UnitsPage }) },
      { path: 'parts/:partId', lazy: async () => ({ Component: (await import('../parts/PartPage.tsx')).PartPage }) },
      { path: 'schools', lazy: async () => ({ Component: (await import('../schools/SchoolsPage.tsx')).SchoolsPage }) },
      { path: 'rules', lazy: async () => ({ Component: (await import('../memory/RulesPage.tsx')).RulesPage }) },
      { path: 'sums', lazy: async () => ({ Component: (await import('../calc/SumsPage.tsx')).SumsPage }) },
      { path: 'crew', lazy: async () => ({ Component: (await import('../crew/CrewPage.tsx')).CrewPage }) },
      { path: '*', element: <Lost /> },
    ],
  },
]);
