import { t } from '@jasperwren/words/shell';
import { linkPages } from '@jasperwren/contract/link-pages';
import { createBrowserRouter, useRouteError } from 'react-router';
import { Loading } from '../ui/states';
import { Page } from '../ui/Page';
import { Frame } from './Frame';
import '../session/session';

/** The pages by address; each arrives when it is needed. */
export const router = createBrowserRouter([
  {
    ErrorBoundary: Broken,
    HydrateFallback: () => <Loading what={t('page')} />,
    children: [
      {
        path: linkPages.debrief,
        lazy: async () => ({ Component: (await import('../drives/debrief/SharedPage')).default }),
      },
      {
        path: linkPages.rehearsal,
        lazy: async () => ({ Component: (await import('../roads/rehearsal/SharedRehearsalPage')).default }),
      },
      {
        path: linkPages.password,
        lazy: async () => ({ Component: (await import('../session/PasswordPage')).default }),
      },
      { path: '/sign-in', lazy: async () => ({ Component: (await import('../session/SignInPage')).default }) },
      {
        path: '/learn/sign-in',
        lazy: async () => ({ Component: (await import('../learn/LearnSignInPage')).default }),
      },
      {
        path: '/learn',
        lazy: async () => ({ Component: (await import('./LearnFrame')).LearnFrame }),
        children: [
          { index: true, lazy: async () => ({ Component: (await import('../learn/LearnPage')).default }) },
          { path: 'safe', lazy: async () => ({ Component: (await import('../learn/LearnSafePage')).default }) },
          {
            path: 'debriefs',
            lazy: async () => ({ Component: (await import('../learn/LearnDebriefsPage')).default }),
          },
          { path: 'routes', lazy: async () => ({ Component: (await import('../learn/LearnRoutesPage')).default }) },
          {
            path: 'routes/:routeId',
            lazy: async () => ({ Component: (await import('../learn/LearnRoutePage')).default }),
          },
          {
            path: 'debriefs/:shareId',
            lazy: async () => ({ Component: (await import('../learn/LearnDebriefPage')).default }),
          },
        ],
      },
      {
        Component: Frame,
        children: [
          { index: true, lazy: async () => ({ Component: (await import('../today/TodayPage')).default }) },
          { path: 'learners', lazy: async () => ({ Component: (await import('../learners/LearnersPage')).default }) },
          {
            path: 'learners/new',
            lazy: async () => ({ Component: (await import('../learners/NewLearnerPage')).default }),
          },
          {
            path: 'learners/:learnerId',
            lazy: async () => ({ Component: (await import('../learners/LearnerPage')).default }),
          },
          {
            path: 'learners/ready',
            lazy: async () => ({ Component: (await import('../readiness/SchoolReadinessPage')).default }),
          },
          {
            path: 'learners/:learnerId/readiness',
            lazy: async () => ({ Component: (await import('../readiness/ReadinessPage')).default }),
          },
          {
            path: 'learners/:learnerId/plan',
            lazy: async () => ({ Component: (await import('../readiness/PlanPage')).default }),
          },
          {
            path: 'learners/:learnerId/edit',
            lazy: async () => ({ Component: (await import('../learners/EditLearnerPage')).default }),
          },
          { path: 'drive', lazy: async () => ({ Component: (await import('../drives/DrivePage')).default }) },
          {
            path: 'drive/:driveId',
            lazy: async () => ({ Component: (await import('../drives/verdict/VerdictPage')).default }),
          },
          {
            path: 'drive/:driveId/desk',
            lazy: async () => ({ Component: (await import('../drives/desk/DeskPage')).default }),
          },
          {
            path: 'drive/:driveId/debrief',
            lazy: async () => ({ Component: (await import('../drives/debrief/DebriefPage')).default }),
          },
          {
            path: 'drive/:driveId/road',
            lazy: async () => ({ Component: (await import('../drives/road/DriveRoadPage')).default }),
          },
          {
            path: 'drive/:driveId/compare',
            lazy: async () => ({ Component: (await import('../drives/compare/ComparePage')).default }),
          },
          { path: 'routes', lazy: async () => ({ Component: (await import('../roads/list/RoutesPage')).default }) },
          {
            path: 'routes/new',
            lazy: async () => ({ Component: (await import('../roads/editor/RoutePage')).default }),
          },
          {
            path: 'routes/places',
            lazy: async () => ({ Component: (await import('../roads/places/PlacesPage')).default }),
          },
          {
            path: 'routes/roads/:roadsId',
            lazy: async () => ({ Component: (await import('../roads/list/RoadsPage')).default }),
          },
          {
            path: 'routes/:routeId',
            lazy: async () => ({ Component: (await import('../roads/editor/RoutePage')).default }),
          },
          {
            path: 'routes/:routeId/directions',
            lazy: async () => ({ Component: (await import('../roads/directions/DirectionsPage')).default }),
          },
          {
            path: 'routes/:routeId/rehearse',
            lazy: async () => ({ Component: (await import('../roads/rehearsal/RehearsalPage')).default }),
          },
          { path: 'yard', lazy: async () => ({ Component: (await import('../yard/YardPage')).default }) },
          {
            path: 'yard/wheels',
            lazy: async () => ({ Component: (await import('../wheels/WheelsPage')).default }),
          },
          {
            path: 'yard/stopping',
            lazy: async () => ({ Component: (await import('../wheels/stopping/StoppingPage')).default }),
          },
          {
            path: 'yard/runs/:runId',
            lazy: async () => ({ Component: (await import('../yard/runs/RunPage')).default }),
          },
          {
            path: 'standards',
            lazy: async () => ({ Component: (await import('../standards/StandardsPage')).default }),
          },
          {
            path: 'standards/:standardId',
            lazy: async () => ({ Component: (await import('../standards/StandardPage')).default }),
          },
          {
            path: 'standards/:standardId/edit',
            lazy: async () => ({ Component: (await import('../standards/editor/EditStandardPage')).default }),
          },
          {
            path: 'standards/:standardId/changes',
            lazy: async () => ({ Component: (await import('../standards/ChangesPage')).default }),
          },
          {
            path: 'learners/:learnerId/sheet',
            lazy: async () => ({ Component: (await import('../sheets/NewSheetPage')).default }),
          },
          {
            path: 'sheets/:sheetId',
            lazy: async () => ({ Component: (await import('../sheets/SheetPage')).default }),
          },
          {
            path: 'checks',
            lazy: async () => ({ Component: (await import('../safety-questions/ChecksPage')).default }),
          },
          {
            path: 'checks/safe',
            lazy: async () => ({ Component: (await import('../safety-questions/SafePage')).default }),
          },
          {
            path: 'checks/learners/:learnerId',
            lazy: async () => ({ Component: (await import('../safety-questions/LearnerChecksPage')).default }),
          },
          {
            path: 'checks/questions',
            lazy: async () => ({ Component: (await import('../safety-questions/bank/QuestionsPage')).default }),
          },
          {
            path: 'checks/questions/:questionId',
            lazy: async () => ({ Component: (await import('../safety-questions/bank/QuestionPage')).default }),
          },
          ...['checks/questions/new', 'checks/questions/:questionId/edit'].map((path) => ({
            path,
            lazy: async () => ({ Component: (await import('../safety-questions/bank/EditQuestionPage')).default }),
          })),
          {
            path: 'checks/cars',
            lazy: async () => ({ Component: (await import('../safety-questions/cars/CarsPage')).default }),
          },
          ...['checks/cars/new', 'checks/cars/:vehicleId/edit'].map((path) => ({
            path,
            lazy: async () => ({ Component: (await import('../safety-questions/cars/EditCarPage')).default }),
          })),
          { path: 'account', lazy: async () => ({ Component: (await import('../session/AccountPage')).default }) },
          { path: 'school', lazy: async () => ({ Component: (await import('../school/SchoolPage')).default }) },
          { path: 'school/audit', lazy: async () => ({ Component: (await import('../school/AuditPage')).default }) },
          { path: '*', lazy: async () => ({ Component: (await import('./Nowhere')).default }) },
        ],
      },
    ],
  },
]);

function Broken() {
  const error = useRouteError();
  return (
    <Page title={t('somethingWentWrongOnThisPage')}>
      <p>{t('reloadThePageFaultsRecordedOn')}</p>
      <p className="muted">{error instanceof Error ? error.message : String(error)}</p>
    </Page>
  );
}
