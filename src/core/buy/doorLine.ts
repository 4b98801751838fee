/** Lines that put own figures in the stead of the table's carry this before the id of the door check. */
export const DOOR_LINE = 'door:';

/** The line of the ordinary work, and the job of that name, are one thing. */
export const ORDINARY = 'ordinary';
