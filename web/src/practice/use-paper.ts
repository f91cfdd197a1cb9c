import { useEffect } from 'react';

/** On its own paper, so that nobody takes it for a record. */
export function usePracticePaper(): void {
  useEffect(() => {
    document.documentElement.dataset.paper = 'practice';
    return () => {
      delete document.documentElement.dataset.paper;
    };
  }, []);
}
