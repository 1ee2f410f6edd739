import type { PlacesView } from '@jasperwren/contract/places';
import { t } from '@jasperwren/words/traces';
import Button from '@mui/material/Button';
import { skipToken } from '@reduxjs/toolkit/query';
import { useState } from 'react';
import { addressFor, api } from '../../base/api';
import { Page, Section } from '../../ui/Page';
import { Empty, Failed, Loading } from '../../ui/states';
import { failureOf } from '../../ui/failure';
import { newestOf } from '../use-route';
import { Kinds, Months } from './Kinds';
import { PlaceFilters } from './PlaceFilters';
import { PlaceList } from './PlaceList';
import { PlacesPicture } from './PlacesPicture';
import styles from './places.module.css';
import { schoolWide, useFilter, type Filter } from './use-filter';

/** Where on the roads faults are made, and how often. */
export default function PlacesPage() {
  const { filter, compare, change } = useFilter();
  const asked = api.usePlacesQuery(filter);
  const { currentData: view } = asked;
  const failed = failureOf(asked);
  const { data: all } = api.usePlacesQuery({});
  const other =
    compare === undefined ? undefined : { ...filter, learner: compare === schoolWide ? undefined : compare };
  const { currentData: compared } = api.usePlacesQuery(other ? withoutMissing(other) : skipToken);
  if (failed) return <Failed {...failed} />;
  return (
    <Page title={t('places')} sub={view && view.drives > 0 && sumWords(view)}>
      {all?.drives === 0 ? (
        <Empty>{t('noPlaces')}</Empty>
      ) : (
        <>
          <PlaceFilters filter={filter} compare={compare} onChange={change} />
          {!view && <Loading what={t('places')} />}
          {view?.drives === 0 && <Empty>{t('noneOfThese')}</Empty>}
          {view && view.drives > 0 && <Found view={view} compared={compared} compareTo={compare} filter={filter} />}
        </>
      )}
    </Page>
  );
}

/** A query as its address takes it. */
const withoutMissing = (filter: Readonly<Record<string, string | undefined>>) =>
  Object.fromEntries(Object.entries(filter).filter(([, value]) => value !== undefined)) as Readonly<
    Record<string, string>
  >;

const sumWords = ({ drives, passes, faults }: PlacesView) =>
  t('placesSub', {
    drives: t('drives', { count: drives }),
    passes: t('passes', { count: passes }),
    faults: t('faultCount', { count: faults }),
  });

interface FoundProps {
  readonly view: PlacesView;
  readonly compared: PlacesView | undefined;
  readonly compareTo: string | undefined;
  readonly filter: Filter;
}

function Found({ view, compared, compareTo, filter }: FoundProps) {
  const [chosen, setChosen] = useState<string>();
  const files = api.useRoadsQuery();
  const newest = newestOf(files.data ?? []);
  const ways = api.useRoadsOfQuery(newest ? { roadsId: newest.id } : skipToken);
  const { currentData: stored } = ways;
  const failed = failureOf(files, ways);
  return (
    <>
      <div className={styles.places}>
        <div className={styles.map}>
          {failed && <Failed {...failed} />}
          {stored && <PlacesPicture stored={stored} view={view} chosen={chosen} onChoose={setChosen} />}
        </div>
        <PlaceList
          view={view}
          compared={compared}
          compareTo={compareTo}
          chosen={chosen}
          onChoose={setChosen}
          roads={newest && stored ? { id: newest.id, stored } : undefined}
        />
      </div>
      <div className={styles.columns}>
        <Section title={t('kinds')}>
          <Kinds view={view} />
        </Section>
        <Section title={t('overTime')}>
          <Months view={view} />
        </Section>
      </div>
      <p className="muted">{t('caution')}</p>
      <Button variant="text" component="a" href={addressFor('placesFile', filter)} download>
        {t('downloadPlaces')}
      </Button>
      <Button variant="text" component="a" href={addressFor('passesTable', filter)} download>
        {t('downloadPasses')}
      </Button>
    </>
  );
}
