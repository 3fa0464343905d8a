package vanemend.app.web;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A day beside the one that stands, with something of it otherwise.
 *
 * @param last when all of it is done; empty where nothing is planned
 * @param lateMin minutes past firm promises, of all repairs
 * @param missed how many firm promises are missed
 * @param asLateMin the same of the day that stands
 * @param asMissed the same of the day that stands
 * @param repairs that end at another time, those that gain most first
 * @param left names of repairs that find no time, or have no plan in the air that is asked for, which is said
 * @param another when the one that is brought in is ready; empty where none is, or it finds no time
 */
record WhatIfView(
        Optional<Instant> last,
        long lateMin,
        int missed,
        Optional<Instant> asLast,
        long asLateMin,
        int asMissed,
        List<DayView.ShiftView> repairs,
        List<String> left,
        Optional<Instant> another) {}
