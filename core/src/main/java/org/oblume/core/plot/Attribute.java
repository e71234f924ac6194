package org.oblume.core.plot;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;

/** What is recorded of a placement, each with the type of its values and the way it is typed. */
public enum Attribute {
    STANDING("on set", SetStatus.class, SetStatus::parse),
    UNIT("unit", Exchanged.class, null),
    PLACE("place", Place.class, Place::parse),
    HEIGHT("height", Height.class, Height::parse),
    AIM("aim", AimSetting.class, AimSetting::parse),
    LEVEL("level", Level.class, Level::parse),
    CCT("CCT", ColourTemperature.class, ColourTemperature::parse),
    TINT("tint", Tint.class, Tint::parse),
    COLOUR("hue", Colour.class, Colour::parse),
    BEAM("beam", Beam.class, Beam::parse),
    EFFECT("effect", Effect.class, Effect::parse),
    MODIFIERS("modifiers", Modifiers.class, null),
    PATCH("control", Patch.class, null),
    MENU("menu", Menu.class, Menu::parse),
    FEED("feed", Feed.class, Feed::parse),
    RIG("hangs from", Rig.class, Rig::parse),
    LENS("lens", Lens.class, Lens::parse),
    STOP("stop", Stop.class, Stop::parse),
    SPEED("ISO", Speed.class, Speed::parse),
    SHUTTER("shutter", Shutter.class, Shutter::parse),
    WHITE("camera white", White.class, White::parse),
    LENS_ND("ND on the lens", LensNd.class, LensNd::parse),
    DAYLIGHT("daylight", Daylight.class, null),
    STREAK("sun here", Streak.class, null),
    ON_PURPOSE("on purpose", OnPurpose.class, OnPurpose::parse),
    CONDITION("condition", Condition.class, null),
    CUE("cue", Cue.class, null);

    /** What a person or a set piece has: it stands somewhere, so high, facing so. */
    static final Set<Attribute> OF_A_MARK = EnumSet.of(STANDING, UNIT, PLACE, HEIGHT, AIM, ON_PURPOSE);

    static final Set<Attribute> OF_A_BOARD = union(OF_A_MARK, EnumSet.of(RIG));
    static final Set<Attribute> OF_A_SUBJECT = union(OF_A_MARK, EnumSet.of(STREAK));
    static final Set<Attribute> OF_A_CONDITION = EnumSet.of(STANDING, CONDITION);
    static final Set<Attribute> OF_A_CUE = EnumSet.of(STANDING, CUE);
    static final Set<Attribute> OF_A_LIGHT =
            union(OF_A_MARK, EnumSet.of(LEVEL, CCT, TINT, COLOUR, BEAM, EFFECT, MODIFIERS, PATCH, MENU, FEED, RIG));
    static final Set<Attribute> OF_A_CLOTH = union(OF_A_MARK, EnumSet.of(MODIFIERS, RIG));
    static final Set<Attribute> OF_DAYLIGHT = union(OF_A_MARK, EnumSet.of(CCT, TINT, MODIFIERS, DAYLIGHT));
    static final Set<Attribute> OF_A_CAMERA = union(OF_A_MARK, EnumSet.of(LENS, STOP, SPEED, SHUTTER, WHITE, LENS_ND));

    private static final Map<Class<?>, Attribute> BY_TYPE =
            Arrays.stream(values()).collect(Collectors.toUnmodifiableMap(a -> a.type, a -> a));
    private final String label;
    private final Class<? extends AttributeValue> type;
    private final @Nullable Function<String, ? extends AttributeValue> reader;

    Attribute(
            String label,
            Class<? extends AttributeValue> type,
            @Nullable Function<String, ? extends AttributeValue> reader) {
        this.label = label;
        this.type = type;
        this.reader = reader;
    }

    /** The attribute that a value belongs to. */
    public static Attribute of(AttributeValue value) {
        return of(value.getClass());
    }

    /** The attribute whose values are of a type. */
    public static Attribute of(Class<? extends AttributeValue> type) {
        return Objects.requireNonNull(BY_TYPE.get(type));
    }

    /** In the crew's words: {@code CCT}. */
    public String label() {
        return label;
    }

    public Class<? extends AttributeValue> type() {
        return type;
    }

    /**
     * Reads what a crew member typed.
     *
     * @throws Refusal with what to type, or when this attribute is a list that is not typed in one line
     */
    public AttributeValue parse(String text) {
        if (reader == null) {
            throw new Refusal("The %s cannot be typed in one line: fill in its parts.".formatted(label));
        }
        return reader.apply(text);
    }

    private static Set<Attribute> union(Set<Attribute> one, Set<Attribute> other) {
        EnumSet<Attribute> both = EnumSet.copyOf(one);
        both.addAll(other);
        return both;
    }
}
