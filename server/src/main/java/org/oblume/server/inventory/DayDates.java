package org.oblume.server.inventory;

import java.time.LocalDate;
import java.util.List;

/** On which dates shots are shot; known by whoever keeps the days. */
public interface DayDates {

    /** The dates of the days that a shot is on, those on which it is shot again too, the earliest first; empty while none is known. */
    List<LocalDate> of(long shotId);
}
