import { configure } from '@testing-library/react';

/** A shared machine may be several times slower than usual; a test waits for what must come, and no longer than that. */
configure({ asyncUtilTimeout: 8000, defaultHidden: true });
