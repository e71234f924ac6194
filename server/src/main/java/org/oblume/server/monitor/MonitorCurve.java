package org.oblume.server.monitor;

import com.fasterxml.jackson.annotation.JsonInclude;
import org.jspecify.annotations.Nullable;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.exposure.SignalTable;
import org.oblume.core.units.Refusal;

/** A curve that ships or a crew's own table, one of the two. */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record MonitorCurve(@Nullable ShippedCurve shipped, @Nullable SignalTable table) {

    /** What holds where nobody said anything. */
    public static final MonitorCurve USUAL = new MonitorCurve(ShippedCurve.BT709, null);

    public MonitorCurve {
        if ((shipped == null) == (table == null)) {
            throw new Refusal("curve", "Choose a curve that ships or give a table of your own, one of the two.");
        }
    }

    public SignalCurve curve() {
        return table != null ? table : shipped != null ? shipped : ShippedCurve.BT709;
    }
}
