import { BenchesPage } from './BenchesPage.tsx';

/** The benches for a first visit, before anybody has signed in: what is done there stays on the device. */
export const GuestBenches = () => <BenchesPage guest />;
