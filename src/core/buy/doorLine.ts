/** Lines that put own figures in the stead of the table's carry this before the id of the door check. */
export const DOOR_LINE = 'door:';
