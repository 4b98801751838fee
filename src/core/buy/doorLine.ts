/** Lines that put own figures in the stead of the table's carry this before the id of the door check. */
export const DOOR_LINE = 'door:';

/** Of each place the latest so many minutes are told: older ones were another hand's. */
export const MOST_TAUGHT = 20;
