import { SnackbarProvider } from 'notistack';

/** Where short messages appear. */
export default function Snackbars() {
  return <SnackbarProvider maxSnack={3} autoHideDuration={6000} />;
}
