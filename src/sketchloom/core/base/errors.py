"""The exceptions of the program. Each carries one sentence for the user, ``message``, which can be told in any
language."""

from sketchloom.core.base.said import said

_SHOWN = 120
"""Letters of a wrong value that are shown: enough to know it again."""


class AppError(Exception):
    """Base of everything the program raises on purpose; ``str()`` is fit for the user."""

    def __init__(self, message: str = ""):
        self.message = message
        super().__init__(str(message))


class FileError(AppError):
    """A file cannot be used. ``path`` names it, ``why`` says what is wrong, ``hint`` what would help."""

    def __init__(self, path, why: str, hint: str = ""):
        self.path, self.why, self.hint = str(path), why, hint
        super().__init__(said("{path}: {why} {hint}", path=self.path, why=why, hint=hint) if hint else
                         said("{path}: {why}", path=self.path, why=why))


class PictureError(FileError):
    """A picture cannot be read."""


class ImageTooLargeError(PictureError):
    """The header asks for more pixels than the program decodes."""


class GeometryError(AppError, ValueError):
    """Coordinates or topology handed to a geometric function are not usable."""


class SettingError(AppError, ValueError):
    """A setting is outside what is allowed. ``field``, ``expected`` and ``got`` say how."""

    def __init__(self, field: str, expected: str, got):
        self.field, self.expected, self.got = field, expected, got
        shown = repr(got)
        shown = shown if len(shown) <= _SHOWN else shown[:_SHOWN - 3] + "..."
        super().__init__(said("{field} must be {expected}; got {got}.", field=field, expected=expected, got=shown))


class ProjectError(FileError):
    """A project file cannot be read."""


class ExportError(FileError):
    """An output cannot be written. Nothing is left half written."""


class ClashError(ExportError):
    """An output would be one of the inputs, or two outputs one file."""


class FontError(FileError):
    """A font cannot be read, or cannot set what was asked for."""


class Cancelled(AppError):
    """The caller asked to stop; no partial result exists."""
