import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { workOffline } from './base/offline';
import { router } from './shell/router';
import { store } from './base/store';
import { Theme } from './base/Theme';

const Snackbars = lazy(() => import('./shell/Snackbars'));

if (import.meta.env.PROD) workOffline();

// A page that Back takes out of the browser's memory may be of somebody who has signed out since.
window.addEventListener('pageshow', ({ persisted }) => {
  if (persisted) window.location.reload();
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <Theme>
        <RouterProvider router={router} />
        <Suspense>
          <Snackbars />
        </Suspense>
      </Theme>
    </Provider>
  </StrictMode>,
);
