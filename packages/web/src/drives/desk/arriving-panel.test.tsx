import { render, screen } from '@testing-library/react';
import { AdasPage } from '../../base/testing-page';
import { arrivingPanel } from './arriving-panel';

const Shown = ({ name }: { readonly name: string }) => <p>Questions for {name}</p>;
const open = (Part: ReturnType<typeof arrivingPanel<{ readonly name: string }>>) =>
  render(
    <AdasPage>
      <Part name="Mona" />
    </AdasPage>,
  );

it('says that it cannot be fetched, and is fetched when it is opened again', async () => {
  const load = jest.fn().mockRejectedValueOnce(new TypeError('Failed to fetch')).mockResolvedValue({ default: Shown });
  const Part = arrivingPanel<{ readonly name: string }>(load);
  const first = open(Part);
  await screen.findByRole('heading', { name: 'Not on this device yet' });
  screen.getByRole('button', { name: /^Back to marking/ });
  first.unmount();
  open(Part);
  await screen.findByText('Questions for Mona');
});

it('is there at once when it has arrived before', async () => {
  const Part = arrivingPanel<{ readonly name: string }>(() => Promise.resolve({ default: Shown }));
  const first = open(Part);
  await screen.findByText('Questions for Mona');
  first.unmount();
  open(Part);
  screen.getByText('Questions for Mona');
});
