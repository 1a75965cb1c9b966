import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { queries } from './api/queries';
import { Password } from './steps/people/Password';
import { Projects } from './steps/Projects';
import { SignIn } from './steps/SignIn';
import { BrokenPage } from './ui/BrokenPage';
import { guardUnsaved } from './ui/draft';
import { ThreadProvider } from './ui/threads';
import { UnitsProvider } from './ui/units';
import { keepOnThisPhone } from './worker';

// Each step is fetched when it is first opened: the first load is the frame and one screen.
const Brief = lazy(() => import('./steps/brief/Brief'));
const Assemblies = lazy(() => import('./steps/assemblies/Assemblies'));
const Beside = lazy(() => import('./steps/assemblies/Beside'));
const Hours = lazy(() => import('./steps/assemblies/Hours'));
const Joints = lazy(() => import('./steps/assemblies/Joints'));
const Sweep = lazy(() => import('./steps/assemblies/Sweep'));
const Materials = lazy(() => import('./steps/materials/Materials'));
const Sequences = lazy(() => import('./steps/sequences/Sequences'));
const Contacts = lazy(() => import('./steps/contacts/Contacts'));
const Transitions = lazy(() => import('./steps/transitions/Transitions'));
const Others = lazy(() => import('./steps/sequences/Others'));
const Quantities = lazy(() => import('./steps/quantities/Quantities'));
const Tests = lazy(() => import('./steps/tests/Tests'));
const Calendar = lazy(() => import('./steps/calendar/Calendar'));
const Cards = lazy(() => import('./steps/sequences/Cards'));
const Joint = lazy(() => import('./steps/sequences/Joint'));
const Practice = lazy(() => import('./steps/sequences/Practice'));
const Site = lazy(() => import('./steps/site/Site'));
const Report = lazy(() => import('./steps/report/Report'));
const Account = lazy(() => import('./steps/people/Account'));
const People = lazy(() => import('./steps/people/People'));
const Record = lazy(() => import('./steps/record/Record'));
const Issued = lazy(() => import('./steps/issued/Issued'));
const Findings = lazy(() => import('./steps/findings/Findings'));

const pages = [
  { path: '/sign-in', element: <SignIn /> },
  { path: '/password', element: <Password /> },
  { path: '/', element: <Projects /> },
  { path: '/account', element: <Account /> },
  { path: '/people', element: <People /> },
  { path: '/p/:project/record', element: <Record /> },
  { path: '/p/:project/issued', element: <Issued /> },
  { path: '/p/:project', element: <Navigate to="brief" replace /> },
  { path: '/p/:project/brief', element: <Brief /> },
  { path: '/p/:project/assemblies/:key?', element: <Assemblies /> },
  { path: '/p/:project/assemblies/:key/beside', element: <Beside /> },
  { path: '/p/:project/assemblies/:key/climates', element: <Sweep /> },
  { path: '/p/:project/assemblies/:key/hours', element: <Hours /> },
  { path: '/p/:project/assemblies/:key/joints', element: <Joints /> },
  { path: '/p/:project/materials/:key?', element: <Materials /> },
  { path: '/p/:project/sequences/:key?', element: <Sequences /> },
  { path: '/p/:project/contacts', element: <Contacts /> },
  { path: '/p/:project/transitions', element: <Transitions /> },
  { path: '/p/:project/quantities', element: <Quantities /> },
  { path: '/p/:project/calendar', element: <Calendar /> },
  { path: '/p/:project/others', element: <Others /> },
  { path: '/p/:project/sequences/:key/cards', element: <Cards /> },
  { path: '/p/:project/sequences/:key/joint', element: <Joint /> },
  { path: '/p/:project/sequences/:key/try', element: <Practice /> },
  { path: '/p/:project/site/:what?/:check?', element: <Site /> },
  { path: '/p/:project/report', element: <Report /> },
  { path: '/p/:project/findings', element: <Findings /> },
  { path: '/p/:project/tests', element: <Tests /> },
  { path: '*', element: <Navigate to="/" replace /> },
];

// A page that stops takes none of the others with it, and nothing that was typed.
const router = createBrowserRouter([
  {
    element: <Outlet />,
    errorElement: <BrokenPage />,
    children: pages.map((page) => ({ ...page, errorElement: <BrokenPage /> })),
  },
]);

guardUnsaved();
keepOnThisPhone();

createRoot(document.getElementById('apron') as HTMLElement).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <UnitsProvider>
        <ThreadProvider>
          <Suspense fallback={<p className="p-8 text-faint">opening the sheet …</p>}>
            <RouterProvider router={router} />
          </Suspense>
        </ThreadProvider>
      </UnitsProvider>
    </QueryClientProvider>
  </StrictMode>,
);
