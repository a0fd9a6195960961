@use('Hebra\Core\Figure\View')
<input type="hidden" name="revision" value="{{ $desk->piece->revision }}">
<input type="hidden" name="stage" value="{{ $desk->stage }}">
<input type="hidden" name="open" value="{{ $then['open'] ?? $desk->open()?->id }}">
<input type="hidden" name="run" value="{{ $then['run'] ?? $desk->run() }}">
@if ($desk->side !== View::Front)<input type="hidden" name="view" value="{{ $desk->side->value }}">@endif
<input type="hidden" name="hung" value="{{ $desk->shown() }}">
