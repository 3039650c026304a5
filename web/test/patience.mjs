import { configure } from '@testing-library/react';

// what is waited for may come late on a busy machine; the test's own limit ends what never comes
configure({ asyncUtilTimeout: 300_000 });
