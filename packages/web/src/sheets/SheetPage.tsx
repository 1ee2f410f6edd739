import Button from '@mui/material/Button';
import type { SheetView } from '@jasperwren/contract/sheets';
import { useSnackbar } from 'notistack';
import { Link, useNavigate, useParams } from 'react-router';
import { useLearnerQuery } from '../learners/learners-api';
import { useStandardVersionQuery } from '../standards/standards-api';
import { longDate } from '../ui/format';
import { Page } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { SheetForm } from './SheetForm';
import { useAddSheetMutation, useDropSheetMutation, useEditSheetMutation, useSheetQuery } from './sheets-api';

/** A sheet on record, to be read and corrected under the version of the standard it was entered under. */
export default function SheetPage() {
  const { sheetId = '' } = useParams();
  const { data: sheet, error, refetch } = useSheetQuery(sheetId);
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!sheet) return <Loading what="the sheet" />;
  return <Sheet sheet={sheet} />;
}

function Sheet({ sheet }: { readonly sheet: SheetView }) {
  const navigate = useNavigate();
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  const { data: standard, error } = useStandardVersionQuery(sheet.standard);
  const learner = useLearnerQuery(sheet.learnerId);
  const [edit] = useEditSheetMutation();
  const [drop] = useDropSheetMutation();
  const [add] = useAddSheetMutation();
  if (error) return <Failed error={error} />;
  if (!standard) return <Loading what="its standard" />;
  const back = `/learners/${sheet.learnerId}`;
  const initial = {
    standardId: sheet.standard.id,
    standardVersion: sheet.standard.version,
    date: sheet.date,
    official: sheet.official,
    entries: sheet.entries.map((entry) => ({ ...entry })),
    ...(sheet.centre && { centre: sheet.centre }),
    ...(sheet.notes && { notes: sheet.notes }),
  };
  const remove = async () => {
    const failed = (await drop(sheet.id)).error;
    if (failed) {
      enqueueSnackbar('It could not be taken off the record. Try again when the server can be reached.');
      return;
    }
    void navigate(back);
    enqueueSnackbar('The sheet is off the record.', {
      action: (key) => (
        <Button
          color="inherit"
          onClick={() => {
            closeSnackbar(key);
            void add({ learnerId: sheet.learnerId, input: initial });
          }}
        >
          Undo
        </Button>
      ),
    });
  };
  return (
    <Page
      title={`Real test of ${longDate(sheet.date)}`}
      over={<Link to={back}>{learner.data?.name ?? 'The learner'}</Link>}
      actions={
        <Button variant="text" onClick={() => void remove()}>
          Take it off the record
        </Button>
      }
    >
      <SheetForm
        standards={[standard]}
        initial={initial}
        action="Save the correction"
        onSave={(input) => edit({ id: sheet.id, input })}
        onSaved={() => void navigate(back)}
        onCancel={() => void navigate(back)}
      />
    </Page>
  );
}
