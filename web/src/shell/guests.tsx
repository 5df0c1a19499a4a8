import { lazy, Suspense } from 'react';
import { Route, Routes } from 'react-router';
import { Waiting } from '../kit/Page';
import { mount } from './mount';

const TablePage = lazy(() => import('../table/TablePage'));
const SharedTrialPage = lazy(() => import('../share/SharedTrialPage'));
const SharedPiecePage = lazy(() => import('../share/SharedPiecePage'));

mount(
  <Suspense fallback={<Waiting />}>
    <Routes>
      <Route path="/t/:token" element={<TablePage />} />
      <Route path="/s/trial/:token" element={<SharedTrialPage />} />
      <Route path="/s/piece/:token" element={<SharedPiecePage />} />
    </Routes>
  </Suspense>,
);
