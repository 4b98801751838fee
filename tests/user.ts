import user, { PointerEventsCheckLevel } from '@testing-library/user-event';

/** A person at the keyboard and the pointer who needs no time between two keys, and looks at no style sheet first. */
export const userEvent = user.setup({ delay: null, pointerEventsCheck: PointerEventsCheckLevel.Never });
