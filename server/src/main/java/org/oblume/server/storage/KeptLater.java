package org.oblume.server.storage;

/** Transactions whose loss by a power cut nobody would notice: they bear this name and are not waited for. */
public final class KeptLater {

    public static final String NAME = "kept later";

    private KeptLater() {}
}
