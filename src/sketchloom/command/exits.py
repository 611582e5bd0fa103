"""Exit codes of the command, and how it complains."""

import argparse
import sys

DONE, WRONG_WORDS, UNREADABLE, UNWRITABLE = 0, 2, 3, 4
"""The exit codes that scripts rely on."""


def complain(text: str, code: int) -> int:
    """A sentence to the terminal; gives the exit code back."""
    sys.stderr.write(f"loom: {text}\n")
    return code


class Parser(argparse.ArgumentParser):
    """A parser of words that ends with the code for wrong ones, in one sentence."""

    def error(self, message):
        sys.stderr.write(f"{self.prog}: {message}\n")
        sys.exit(WRONG_WORDS)
