"""How much of the tests' many examples is tried."""

import os

SHARE = float(os.environ.get("LOOM_EXAMPLES", "0.4"))
"""Of the examples that a property is worth trying: the suite tries a share, ``LOOM_EXAMPLES=1`` all, 5 five times as
many. They are the same ones on every run."""


def examples(count: int) -> int:
    """So many of ``count`` examples."""
    return max(round(count * SHARE), min(count, 4))
