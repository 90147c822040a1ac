import { configure } from '@testing-library/react';

// `findBy` and `waitFor` end with what they wait for. How long they would go on is for a machine that stands still meanwhile.
configure({ asyncUtilTimeout: 60_000 });
