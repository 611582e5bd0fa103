"""The exceptions of the program. Each carries one sentence for the user."""


class AppError(Exception):
    """Base of everything the program raises on purpose; ``str()`` is fit for the user."""


class PictureError(AppError):
    """A picture cannot be read. ``path`` names it, ``hint`` says what would help."""

    def __init__(self, path, why: str, hint: str = ""):
        self.path, self.why, self.hint = str(path), why, hint
        super().__init__(f"{self.path}: {why}" + (f" {hint}" if hint else ""))


class ImageTooLargeError(PictureError):
    """The header asks for more pixels than the program decodes."""


class GeometryError(AppError, ValueError):
    """Coordinates or topology handed to a geometric function are not usable."""


class SettingError(AppError, ValueError):
    """A setting is outside what is allowed. ``field``, ``expected`` and ``got`` say how."""

    def __init__(self, field: str, expected: str, got):
        self.field, self.expected, self.got = field, expected, got
        said = repr(got)
        super().__init__(f"{field} must be {expected}; got {said if len(said) <= 120 else said[:117] + '...'}.")


class ProjectError(AppError):
    """A project file cannot be read."""

    def __init__(self, path, why: str):
        self.path, self.why = str(path), why
        super().__init__(f"{self.path}: {why}")


class ExportError(AppError):
    """An output cannot be written. Nothing is left half written."""

    def __init__(self, path, why: str):
        self.path, self.why = str(path), why
        super().__init__(f"{self.path}: {why}")


class FontError(AppError):
    """A font cannot be read, or cannot set what was asked for."""

    def __init__(self, path, why: str, hint: str = ""):
        self.path, self.why = str(path), why
        super().__init__(f"{self.path}: {why}" + (f" {hint}" if hint else ""))


class Cancelled(AppError):
    """The caller asked to stop; no partial result exists."""
