package org.oblume.server.set;

import org.oblume.core.plot.SetPlan;

/** A set or a place that is lit. */
public record StageSet(String name, SetPlan plan) {}
