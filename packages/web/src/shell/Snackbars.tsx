import { SnackbarProvider } from 'notistack';
import styles from './snackbars.module.css';

/** Where short messages appear. */
export default function Snackbars() {
  return <SnackbarProvider maxSnack={3} autoHideDuration={6000} classes={{ containerRoot: styles.container! }} />;
}
