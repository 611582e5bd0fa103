"""The stages' places in the rail; the same order as ``findings.STAGES``."""

from sketchloom.core.preflight.findings import STAGES

SOURCE, TRACE, CLEAN, LAYERS, SHEETS, RELEASE = range(len(STAGES))
