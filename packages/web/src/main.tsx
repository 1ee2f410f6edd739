import { SnackbarProvider } from 'notistack';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { workOffline } from './base/offline';
import { router } from './shell/router';
import { store } from './base/store';
import { Theme } from './base/Theme';

if (import.meta.env.PROD) workOffline();

// A page that Back takes out of the browser's memory may be of somebody who has signed out since.
window.addEventListener('pageshow', ({ persisted }) => {
  if (persisted) window.location.reload();
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <Theme>
        <SnackbarProvider maxSnack={3} autoHideDuration={6000}>
          <RouterProvider router={router} />
        </SnackbarProvider>
      </Theme>
    </Provider>
  </StrictMode>,
);
